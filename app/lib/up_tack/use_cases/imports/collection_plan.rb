# frozen_string_literal: true

require "tsort"

module UpTack
  module UseCases
    module Imports
      # What somebody wants of a file with several tables, as it was proposed and changed: which tables, with which
      # fields, and in which order their rows come in.
      class CollectionPlan
        # A field. column:: of the part; refers:: column of the target's part, nil where cells have names
        Field = Struct.new(:column, :key, :target, :refers, keyword_init: true)
        # A table. design:: as AddTables takes it; now, later:: Fields whose cells are read when records are made (by
        # column), and links that are set once all are there; notes:: for people
        Wish = Struct.new(:number, :key, :design, :fields, :now, :later, :notes, keyword_init: true)

        # Parts of a field that are passed on.
        PARTS = %w[label key type choices format target rules].freeze

        # @return [Array<Wish>] as they were given
        attr_reader :wishes

        # @param tables [Array<Hash{String=>Object}>] "number", "key", "label", "fields" and "rules" of each, see
        #   Collections::Proposed
        # @param parts [Array<Interchange::Collection::Part>]
        # @param project [Core::Design::Project]
        # @raise [Core::Invalid]
        def initialize(tables, parts, project)
          @parts = parts
          @there = project.tables.map(&:key)
          check(tables)
          @keys = tables.map { |table| table["key"] }
          @wishes = tables.map { |table| wish(table) }
          @ordered = order
          @ordered.each_with_index { |wish, index| settle(wish, @ordered.first(index).map(&:key)) }
          @wishes.each { |wish| wish.design = design(wish) }
        end

        # @return [Array<Wish>] linked ones before those that link to them; in a circle, any one of it is first
        attr_reader :ordered

        # @param table [String] key
        # @return [Array<String>] columns by whose values others refer to it
        def referred(table) =
          @wishes.flat_map(&:fields).select { |field| field.target == table && field.refers }.map(&:refers).uniq

        # @param file [String]
        # @return [String] one sentence for the design's history
        def summary(file)
          return if @wishes.one?

          labels = @wishes.map { |each| each.design["label"] }
          "#{labels.length} tables added from #{file[0, 80]}: #{labels.join(", ")}"
        end

        private

        def check(tables)
          Core::Invalid.because(Core::Messages["imports.collection_plan.no_table"], part: "tables") if tables.empty?
          tables.each do |table|
            sound = table["number"].is_a?(Integer) && @parts[table["number"]] && table["number"] >= 0 &&
              table["key"].is_a?(String) && table["fields"].is_a?(Array) && table["fields"].all?(Hash)
            next if sound

            Core::Invalid.because(Core::Messages["imports.collection_plan.not_of_this_file",
              table: table["label"].to_s], part: "tables")
          end
          twice = tables.map { |table| table["key"] }.tally.find { |key, times| times > 1 || @there.include?(key) }
          return unless twice

          Core::Invalid.because(Core::Messages["imports.collection_plan.key_is_taken", key: twice.first],
            part: "tables")
        end

        def wish(table)
          given = table["fields"].map { |field| without_missing_target(field) }
          Wish.new(
            number: table["number"], key: table["key"], later: [], notes: [],
            design: {"label" => table["label"], "key" => table["key"], "fields" => given,
                     "rules" => Array(table["rules"])},
            fields: given.map { |field|
              Field.new(column: field["column"].to_s, key: field["key"], target: field["target"],
                refers: (field["refers"] if @keys.include?(field["target"])))
            }
          )
        end

        # Where its table is not made, a link is what its cells are.
        def without_missing_target(field)
          return field if field["target"].nil? || (@keys + @there).include?(field["target"])

          field.merge("type" => field["plain"] || "text", "target" => nil, "refers" => nil)
        end

        def order
          linked = ->(wish, &block) { @wishes.select { |each| leads?(wish, each.key) }.each(&block) }
          TSort.strongly_connected_components(@wishes.method(:each), linked).flatten
        end

        def leads?(wish, key) = wish.fields.any? { |field| field.refers && field.target == key }

        # @param there [Array<String>] keys of tables whose records are there before its own
        def settle(wish, there)
          wish.later = wish.fields.select { |field| field.refers && !there.include?(field.target) }
          wish.now = (wish.fields - wish.later).to_h { |field| [field.column, field] }
        end

        def design(wish)
          rules = wish.design["rules"].select { |rule| rule.is_a?(Hash) }.group_by { |rule| rule["field"] }
          later = wish.later.map(&:key)
          fields = wish.design["fields"].map do |field|
            own = Array(field["rules"]) + (rules[field["key"]] || []).map { |rule| rule.except("field") }
            own = not_required(wish, field, own) if later.include?(field["key"])
            field.slice(*PARTS).merge("rules" => own)
          end
          {"label" => wish.design["label"], "key" => wish.key, "fields" => fields}
        end

        # What is blank for as long as the records are not there to which it leads can't be required.
        def not_required(wish, field, rules)
          required, others = rules.partition { |rule| rule.is_a?(Hash) && rule["kind"] == "required" }
          if required.any?
            wish.notes << Core::Messages["imports.collection_plan.is_not_required", field: field["label"].to_s]
          end
          others
        end
      end
    end
  end
end
