# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A warning that somebody passed.
      # rule:: id of the rule; message:: what it said; reason:: why it was passed
      AcknowledgedWarning = Struct.new(:rule, :message, :reason, keyword_init: true)
    end
  end
end
