# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # To which fields of a table the columns of a file belong: as somebody said, by their names, or by
      # what stands in them.
      class ColumnMatch
        # Share of a column's values that must be those of a choice or a link.
        ENOUGH = 0.6

        # @param table [Core::Design::Table]
        def initialize(workspace, table)
          @workspace = workspace
          @table = table
        end

        # @param profiles [Array<Interchange::Profile>]
        # @param known [Hash{String=>String}] fields of columns of which somebody said so already
        # @return [Hash{String=>String}] keys of fields by names of columns
        def call(profiles, known = {})
          profiles = profiles.reject { |profile| WhyHeading.ours?(profile.name) }
          columns = profiles.map(&:name)
          found = known.slice(*columns)
          # From what tells most to what tells least: a name as it stands before one that is much like it.
          [->(name) { Core::Unicode.folded(name).strip }, method(:comparable)].each do |reading|
            found = by_name(columns - found.keys, found, &reading)
          end
          by_content(profiles, found)
        end

        private

        def by_name(columns, found)
          fields =
            open_fields
              .reject { |field| found.value?(field.key) }
              .flat_map { |field| [field.label, field.key, *field.aliases].map { |name| [yield(name), field.key] } }
              .reject { |name, _| name.empty? }
              .reverse
              .to_h
          columns.each_with_object(found.dup) do |column, all|
            key = fields[yield(column)]
            all[column] = key unless key.nil? || all.value?(key)
          end
        end

        def comparable(name) = Core::Unicode.folded(name).gsub(/[^\p{L}\p{N}]/, "")

        # A column without a known name belongs where its values do.
        def by_content(profiles, found)
          open = open_fields.reject { |field| found.value?(field.key) }
          profiles
            .reject { |profile| found.key?(profile.name) || profile.filled.zero? }
            .each do |profile|
              fitting = open.select { |field| fits?(profile, field) }
              next unless fitting.length == 1

              found[profile.name] = fitting.first.key
              open -= fitting
            end
          found
        end

        def open_fields
          @open_fields ||=
            begin
              numbered = @table.rules.select(&:numbers?).map(&:field)
              @table.fields.select do |field|
                (!@table.rule_owned?(field.key) || numbered.include?(field.key)) &&
                  field.allows?(@workspace.person.role, :edit)
              end
            end
        end

        def fits?(profile, field)
          values = profile.distinct&.keys or return false
          known =
            if field.listed? then field.choices.map { |choice| Core::Unicode.folded(choice) }
            elsif field.link? then names(field.target)
            else return false
            end
          values.count { |value| known.include?(Core::Unicode.folded(value)) } >= values.length * ENOUGH
        end

        def names(table) =
          (@names ||= {})[table] ||= Store::NameIndex
            .find(@workspace.plan(table), @workspace.context)
            .names
            .to_set(&:folded)
      end
    end
  end
end
