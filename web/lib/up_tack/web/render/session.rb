# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Who acts, where and when, and what could be undone.
      module Session
        module_function

        # @param key [String] what the pages of the session send along when they write
        def render(workspace, key)
          now = workspace.clock.local(workspace.clock.now)
          builder = workspace.person.builder?
          {
            project: {name: workspace.project.name, time_zone: workspace.project.conventions.time_zone},
            person: person(workspace.person),
            has_password: workspace.person.password?,
            demo: UseCases::People::Demo.there?,
            write_key: key,
            people: UseCases::People::Directory.all.map { |each| person(each) },
            clock: {now: now.strftime("%Y-%m-%dT%H:%M"), today_text: now.strftime("%a %-d %b %Y")},
            types: Core::Values.all.values.map { |type| field_type(type) },
            undo: builder ? UseCases::Design::Revisions.to_undo : nil,
            redo: builder ? UseCases::Design::Revisions.to_redo : nil
          }
        end

        def field_type(type)
          format = type.format_parts.reject { |_, kind| kind == :pattern }.map { |name, kind| {name: name, kind: kind} }
          {key: type.key, label: type.label, settings: type.settings, format: format, titles: type.titles?}
        end

        # What somebody sees who is not signed in.
        # @param one_click [Boolean] whether the demo's people may be offered
        def welcome(one_click:)
          needed = UseCases::People::SetUp.needed?
          {
            set_up: needed,
            project: needed ? nil : UseCases::Design::Revisions.project_name,
            time_zones: needed ? TZInfo::Timezone.all_data_zone_identifiers.sort : [],
            demo: one_click ? UseCases::People::Demo.people.map { |each| person(each) } : []
          }
        end

        def person(person) = {id: person.id, name: person.name, role: person.role, active: person.active}

        # One line of the people list, for builders.
        def entry(person) =
          {
            **person(person),
            sign_in: person.sign_in.to_s,
            email: person.email.to_s,
            has_password: person.password?,
            anonymous: person.anonymous?
          }
      end
    end
  end
end
