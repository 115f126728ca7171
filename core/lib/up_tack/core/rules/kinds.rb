# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # All kinds of rule, a file each, named after its class. What is long in one of them has a folder beside it.
      module Kinds
        # @return [Array<Class>] found by their files
        def self.classes
          Dir[File.join(__dir__, "kinds", "*.rb")].sort.map do |file|
            const_get(File.basename(file, ".rb").split("_").map(&:capitalize).join)
          end
        end
      end
    end
  end
end
