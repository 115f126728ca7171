# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A notice to a person.
      module Notice
        module_function

        def render(notice, workspace)
          {
            id: notice.id,
            **Moment.render(notice.made_at, workspace),
            to: notice.person.name,
            subject: notice.subject,
            body: notice.body,
            path: notice.path,
            read: !notice.read_at.nil?
          }
        end
      end
    end
  end
end
