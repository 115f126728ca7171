# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # One of the names between the dots of what an aggregate goes over.
        Segment = Struct.new(:key, :from, :to, keyword_init: true)
      end
    end
  end
end
