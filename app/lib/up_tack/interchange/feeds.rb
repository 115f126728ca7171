# frozen_string_literal: true

module UpTack
  module Interchange
    # Records as what other programs subscribe to: calendars and contacts.
    module Feeds
    end
  end
end
