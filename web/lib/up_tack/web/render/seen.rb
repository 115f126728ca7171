# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What a person's role lets them see of the design.
      class Seen
        # @param workspace [Workspace] of the person
        def initialize(workspace)
          @project = workspace.project
          @role = workspace.person.role
        end

        # @return [Boolean] whether they may do something with a table's records
        def table?(table, what = :see) = table.allows?(@role, what)

        # @return [Boolean] a link to a table that is hidden is hidden too
        def field?(field, what = :see)
          return true if field.nil?

          field.allows?(@role, what) && !(field.link? && (target = @project.table(field.target)) && !table?(target))
        end

        # @return [Array<Core::Design::Field>]
        def fields(table) = table.fields.select { |field| field?(field) }

        # A rule that names something hidden is hidden too.
        # @return [Boolean]
        def rule?(rule, table) = open?(rule.references(table)) && rule.fields(table).all? { |key| field?(table.field(key)) }

        # @return [String] what Up Tack says of a field, of nothing that is hidden
        def sentence(field, table)
          @rules ||= {}
          Core::Design::Sentences.field(field, table, @rules[table.key] ||= table.rules.select { |rule| rule?(rule, table) })
        end

        # @return [Boolean] whether all that is named may be seen
        def open?(references)
          references.all? do |each|
            table = @project.table(each.table)
            table.nil? || (table?(table) && (each.key.nil? || field?(table.field(each.key))))
          end
        end
      end
    end
  end
end
