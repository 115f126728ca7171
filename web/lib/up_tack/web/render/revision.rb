# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A change of the design.
      module Revision
        module_function

        def render(revision, workspace)
          {
            id: revision.id, **Moment.render(revision.made_at, workspace), person: revision.person_name,
            action: revision.action, summary: revision.summary, current: revision.id == workspace.revision_id
          }
        end

        # @param differences [Array<Core::Design::ProjectDiff::Difference>]
        def differences(differences)
          differences.map do |each|
            {what: each.what, id: each.id, place: each.place, before: each.before, after: each.after}
          end
        end
      end
    end
  end
end
