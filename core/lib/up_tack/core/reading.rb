# frozen_string_literal: true

module UpTack
  module Core
    # What a value type is given to understand typed text: the firm's
    # conventions and the day on which it was typed.
    Reading = Struct.new(:conventions, :today, keyword_init: true)
  end
end
