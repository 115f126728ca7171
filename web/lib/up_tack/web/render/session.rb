# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Who acts, where and when, and what could be undone.
      module Session
        module_function

        def of(workspace)
          now = workspace.clock.local(workspace.clock.now)
          {
            project: {name: workspace.project.name, time_zone: workspace.project.conventions.time_zone},
            person: person(workspace.person), people: Store::Person.order(:id).map { |each| person(each) },
            clock: {now: now.strftime("%Y-%m-%dT%H:%M"), today_text: now.strftime("%a %-d %b %Y")},
            types: Core::Values.all.values.map { |type| {key: type.key, label: type.label} },
            undo: Store::Revision.to_undo&.summary, redo: Store::Revision.to_redo&.summary
          }
        end

        def person(person) = {id: person.id, name: person.name, email: person.email, role: person.role}
      end
    end
  end
end
