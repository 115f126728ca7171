# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The names of records that there are, by which a column may turn out to be a link to them.
      class KnownNames
        # Values of a column from which on they tell anything.
        ENOUGH = 3

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @return [Set<String>] folded
        def of(table) =
          (@names ||= {})[table] ||= Store::NameIndex
            .find(@workspace.plan(table), @workspace.context)
            .names
            .to_set(&:folded)

        # @param profile [Interchange::Profile]
        # @return [Core::Design::Table, nil] the one table whose records have all of a column's values as names
        def target(profile)
          values = profile.distinct&.keys&.map { |value| Core::Unicode.folded(value) }
          return if values.nil? || values.length < ENOUGH || profile.kind_of_all != "text" || own?(profile)
          # Whoever can't make a table must not learn either which names there are.
          return unless @workspace.person.role == "builder"

          found = @workspace.project.tables.select { |table| values.all? { |value| of(table.key).include?(value) } }
          found.first if found.one?
        end

        private

        # Codes of which each stands there once are those of the file's own records.
        def own?(profile) = profile.unique? && profile.uniform?
      end
    end
  end
end
