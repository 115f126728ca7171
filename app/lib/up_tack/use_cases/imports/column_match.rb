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
        # @param as_was [Boolean] whether columns may belong to what rules have written down of earlier saves
        def initialize(workspace, table, as_was: false)
          @workspace = workspace
          @table = table
          @as_was = as_was
          @names = KnownNames.new(workspace)
        end

        # @param profiles [Array<Interchange::Profile>]
        # @param known [Hash{String=>String}] fields of columns of which somebody said so already
        # @return [Hash{String=>String}] keys of fields by names of columns
        def call(profiles, known = {})
          profiles = profiles.reject { |profile| WhyHeading.ours?(profile.name) }
          columns = profiles.map(&:name)
          found = known.slice(*columns)
          # From what tells most to what tells least: a name as it stands before one that is much like it.
          [method(:exact), method(:comparable)].each do |reading|
            found = by_name(columns - found.keys, found, &reading)
          end
          by_content(profiles, found)
        end

        # @param profiles [Array<Interchange::Profile>]
        # @param found [Hash{String=>String}] as #call gives it
        # @return [Hash{String=>Core::Design::Field}] by columns, the fields of their names that only rules set
        def written(profiles, found)
          owned = @table.fields.select { |field| @table.rule_owned?(field.key) && @workspace.visibility.field?(field) }
          others = owned - open_fields
          columns = profiles.map(&:name) - found.keys
          by_name(columns, {}, others, &method(:exact)).transform_values { |key| @table.field(key) }
        end

        # @param field [Core::Design::Field]
        # @return [Boolean] whether it has what a rule wrote down of earlier saves, which may come as it was
        def self.written_down?(table, field) =
          table.rules.any? { |rule| rule.field == field.key && rule.stage == "log" } && !table.worked_out?(field.key)

        private

        def by_name(columns, found, among = open_fields)
          fields =
            among
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

        def exact(name) = Core::Unicode.folded(name.match?(Cells::HARMLESS) ? name.delete_prefix("'") : name).strip

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
                (!@table.rule_owned?(field.key) || numbered.include?(field.key) || as_was?(field)) &&
                  field.allows?(@workspace.person.role, :edit)
              end
            end
        end

        def as_was?(field) = @as_was && ColumnMatch.written_down?(@table, field)

        def fits?(profile, field)
          values = profile.distinct&.keys or return false
          known =
            if field.listed? then field.choices.map { |choice| Core::Unicode.folded(choice) }
            elsif field.link? then @names.of(field.target)
            else return false
            end
          values.count { |value| known.include?(Core::Unicode.folded(value)) } >= values.length * ENOUGH
        end
      end
    end
  end
end
