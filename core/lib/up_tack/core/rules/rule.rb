# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What every rule kind has in common. A rule is immutable and knows how to
      # say itself in words; `compile` gives what a save runs.
      #
      # A kind answers: kind, stage (class methods); problems(table),
      # reads(table), writes, fields(table), words(table), sentence(table) and
      # compile(table), whose result answers apply(working).
      class Rule
        extend Declarations
        include Questions

        # id:: such as "r12"
        # field:: key of the field it is pinned on
        # name:: the builder's short name for the tack, nil to let it say itself
        # note:: the builder's own words, nil when there are none
        attr_reader :id, :field, :name, :note

        # @param attributes [Hash{String=>Object}]
        def self.from(attributes) = new(attributes)

        # @return [Boolean] whether such a rule can be pinned on a field
        def self.suits?(_field, _table) = true

        def initialize(attributes)
          @id = attributes["id"]
          @field = attributes["field"]
          @name = attributes["name"].to_s.strip.empty? ? nil : attributes["name"]
          @note = attributes["note"].to_s.strip.empty? ? nil : attributes["note"]
          @parts = self.class.part_keys.to_h { |part| [part, attributes[part]] }.freeze
        end

        # @return [Hash{String=>Object}] without what is not set
        def attributes
          {"id" => id, "kind" => kind, "field" => field}.merge(@parts.compact, {"name" => name, "note" => note}.compact)
        end

        # What rules of all kinds have besides their parts.
        TEXTUAL = %w[field name note].to_h { |key| [key, Part.new(key: key, type: :text)] }.freeze
        private_constant :TEXTUAL

        # @return [Array<Problem>] parts that are not of the right shape, or too long
        def shape_problems
          named = {"field" => field, "name" => name, "note" => note}.map { |key, text| [TEXTUAL.fetch(key), text] }
          (named + self.class.parts.map { |part| [part, @parts[part.key]] })
            .filter_map { |part, value| part.problem(value) }
            .first(1)
        end

        # @return [Array<Expression::Reference>] every field and table that it names
        def references(table)
          # One that need not be there may be blank.
          written = formulas.reject { |_, text| text.to_s.strip.empty? }
          found = written.keys.flat_map { |part| compiled(table, part: part).references }
          found +
            key_parts.map { |key| Expression::Reference.new(table: table.key, key: key, steps: [], before: false) }
        end

        # @param table [Design::Table] its own, before the renaming
        # @param of [String] key of the table in which something is renamed
        # @param key [String, nil] key of the field; nil when the table itself is renamed
        # @return [Hash{String=>Object}] the rule as a design has it, under the new name
        def renamed(table, of:, key:, to:)
          attributes = self.attributes
          attributes["field"] = to if table.key == of && field == key
          formulas.each do |part, text|
            put(
              attributes,
              part,
              Expression::Renaming.rename(text, compiled(table, part: part).references, table: of, key: key, to: to)
            )
          end
          return attributes if key.nil? || table.key != of

          attributes.merge(
            attributes.slice(*self.class.field_keys).transform_values { |named| under_new_name(named, key, to) }
          )
        end

        # @param table [Design::Table] its own, before
        # @param renamed [Design::RenamedChoices]
        # @return [Hash{String=>Object}] the rule as a design has it, with choices under their new names
        def with_choices(table, renamed)
          # What stands within its parts is not to be changed in the rule itself.
          attributes = Marshal.load(Marshal.dump(self.attributes))
          formulas.each { |part, text| put(attributes, part, renamed.formula(text, table, given_to: taker(part))) }
          attributes
        end

        # @param table [Design::Table] its own
        # @return [Array(String, Hash), nil] its sentence above the rows of its chains of `if`s, and these; nil where
        #   it has none
        def sentence_with_rows(table)
          rows = case_rows(table)
          [sentence_above_rows(table), rows] unless rows.empty?
        end

        # @param table [Design::Table] its own
        # @return [Hash{String=>Array}] by the key of a field that it sets by a chain of `if`s, the rows of
        #   Expression::CaseRows
        def case_rows(table)
          set = formulas.keys.filter_map { |part| (field = taker(part)) && [field, part] }
          set
            .to_h { |field, part| [field, Expression::CaseRows.of(compiled(table, part: part).tree, table.scope)] }
            .reject { |_, rows| rows.empty? }
        end

        # @param table [Design::Table] its own
        # @return [String] its sentence, with what stands in rows left to them
        def sentence_above_rows(table)
          formulas.each_key.inject(sentence(table)) do |said, part|
            tree = taker(part) && compiled(table, part: part).tree
            next said if tree.nil? || Expression::CaseRows.of(tree, table.scope).empty?

            chain = Expression::Humanizer.new(table.scope).humanize(tree)
            said.sub(chain) { Wording["the value of the first row that applies"] }
          end
        end

        private

        # @param _part [String] one of its formulas
        # @return [String, nil] key of the field that takes what it gives
        def taker(_part) = nil

        # @return [Hash{String=>String}] its formulas, by where they stand, such as "when" or "sets.0.to"
        def formulas = @parts.slice(*self.class.formula_keys).compact

        # Puts a text where one of its formulas stands in the plain rule.
        def put(attributes, part, text)
          *path, last = part.split(".").map { |step| step.match?(/\A\d+\z/) ? step.to_i : step }
          (path.empty? ? attributes : attributes.dig(*path))[last] = text
        end

        # @param named [String, Array<String>] keys of fields
        def under_new_name(named, key, to)
          return named.map { |each| under_new_name(each, key, to) } if named.is_a?(Array)

          (named == key) ? to : named
        end

        def key_parts = self.class.field_keys.flat_map { |part| Array(@parts[part]) }

        # @return [Array<Problem>] of parts that name fields which are not there
        def key_problems(table)
          gone = key_parts.find { |key| table.field(key).nil? }
          gone ? [Problem.new(part: "field", message: Messages[
            "common.there_is_no_field", unknown: gone, table: table.label
          ])] : []
        end

        def problem(part, message) = Problem.new(part: part, message: message)

        def objection(part, each)
          Problem.new(part: part, message: each.message, from: each.from, to: each.to, tolerable: true)
        end

        # @return [Boolean] whether a rule of this kind stands before it on the same field
        def doubled?(table)
          table
            .rules
            .take_while { |other| !other.equal?(self) }
            .any? { |other| other.instance_of?(self.class) && other.field == field }
        end

        def missing_field(table)
          return [] if table.field(field)

          [
            Problem.new(
              part: "field",
              message: Messages["common.there_is_no_field", unknown: field, table: table.label]
            )
          ]
        end

        # @return [Array<Problem>] those of the formula
        def formula_problems(table, expecting:, part: "formula")
          formula = compiled(table, expecting: expecting, part: part)
          found = (expecting == :link) ? target_problems(table, formula, part: part) : []
          found + formula.objections.map { |each| objection(part, each) }
        rescue Expression::Invalid => e
          e.problems.map { |each| Problem.new(part: part, message: each.message, from: each.from, to: each.to) }
        end

        # A link must lead to the table that its field points to.
        # @param key [String] of the field
        def target_problems(table, formula, part: "formula", key: field)
          wrong = Expression::LinkTargets.new(table.scope).find(formula.tree) - [table.field(key).target]
          return [] if wrong.empty?

          labels = [wrong.first, table.field(key).target].map { |target| table.neighbours.tables.fetch(target).label }
          [
            Problem.new(
              part: part,
              message:
                Messages[
                  "rules.rule.leads_to",
                  source: labels.first,
                  field: table.field(key).label,
                  target: labels.last
                ],
              from: formula.tree.from,
              to: formula.tree.to
            )
          ]
        end

        def compiled(table, expecting: nil, part: "formula") =
          Expression.compile(formulas[part].to_s, table.scope, expecting: expecting, counting: counting?(part))

        # @return [Boolean] whether `counter(…)` may stand in a part
        def counting?(_part) = false

        def formula_reads(table, part: "formula") = compiled(table, part: part).reads

        # Keys of the fields of this table that the formula names, `old.` or not.
        def formula_names(table, part: "formula")
          compiled(table, part: part)
            .references
            .select { |each| each.key && each.steps.empty? && each.table == table.key }
            .map(&:key)
            .uniq
        end

        def tree(part = "formula") = Expression.parse(formulas[part])
      end
    end
  end
end
