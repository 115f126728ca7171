# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A moment for programs, and as the firm's clock and calendar show it.
      module Moment
        module_function

        def render(time, workspace)
          local = workspace.clock.local(time)
          {made_at: time.getutc.iso8601(3), at_text: local.strftime("%H:%M"), day_text: local.strftime("%a %-d %b %Y")}
        end
      end
    end
  end
end
