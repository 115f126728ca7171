# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # A decision table: from the top, the first row whose cells let the inputs pass
        # sets all the outputs. An empty cell of an output makes that field blank.
        #
        # inputs:: formulas, one a column; outputs:: keys of fields, one a column
        # rows:: lists of cells, those of the inputs first
        # otherwise:: what becomes of the outputs where no row fits: "leave" or "clear"
        class Decision < WritingRule
          kind "decision",
            label: "Decision table",
            about: "Sets fields from the first matching row.",
            editor: :own,
            begins: {"inputs" => [], "outputs" => ["$field"], "rows" => []},
            needs: [%w[inputs], %w[rows]]
          effect :decision
          guide "decision-table"
          part "inputs", :inputs
          part "outputs", :fields
          part "rows", :rows
          part "otherwise", :choice, choices: [["leave", "are left"], ["clear", "are cleared"]]
          part "only_blank", :flag
          part "overrules", :flag
          shown_by :decided
          histories :cells, :filled

          def decides? = true
          OTHERWISE = %w[leave clear].freeze
          MOST_COLUMNS = 24

          def moved_by_change? = true

          def inputs = @parts["inputs"] || []
          def writes = @parts["outputs"] || []
          def rows = @parts["rows"] || []
          def clears? = @parts["otherwise"] == "clear"

          def problems(table)
            found = missing_field(table)
            found = target_key_problems(table, "outputs") if found.empty?
            return found if found.any?
            return [problem("inputs", Messages["rules.decision.say_what_table_looks"])] if inputs.empty?
            if inputs.length + writes.length > MOST_COLUMNS
              return [
                problem("inputs", Messages["rules.decision.decision_table_has_at_most_columns", most: MOST_COLUMNS])
              ]
            end
            unless [nil, *OTHERWISE].include?(@parts["otherwise"])
              return [problem("otherwise", Messages["rules.decision.where_no_row_fits_fields"])]
            end

            found = formulas.keys.flat_map { |part| input_problems(table, part) }
            if found.empty? && rows.empty?
              found = [problem("rows",
                Messages["rules.decision.decision_table_needs_at_least_one_row"])]
            end
            if found.empty?
              Decisions::TableParser.new(self, table, ParseContext.new(conventions: Conventions.from({}))).problems
            else
              found
            end
          end

          def reads(table) = triggers(table)

          # @return [Array<String>] keys of the fields whose change moves it
          def triggers(table)
            formulas
              .keys
              .flat_map { |part| compiled(table, part: part).then { |formula| formula.reads + formula.links } }
              .uniq
          end

          def names(table) = [*writes, *formulas.keys.flat_map { |part| formula_names(table, part: part) }].uniq
          def words(_table) = title
          def title = name || Wording["decision table"]

          def sentence(table)
            Messages[
              "rules.decision.sentence",
              count: writes.length,
              fields: Masks::Phrases.to_sentence(writes.map { |key| label(table, key) }),
              inputs: Masks::Phrases.to_sentence(input_labels(table)),
              table: name ? Wording["the decision table %{name}", name: name] : Wording["a decision table"],
              rows: Messages["common.rows", count: rows.length],
              manner: manner
            ]
          end

          def outcomes(table)
            rows.each_with_index.map do |row, index|
              mark = "row #{index + 1}"
              cells = row.first(inputs.length).map { |cell| cell.strip.empty? ? Wording["any"] : cell }
              [mark, Wording["row %{number}: %{cells}", number: index + 1, cells: cells.join(", ")], [mark]]
            end + [["no row", Wording["no row matches"], ["no row"]], super.last]
          end

          # Cells are kept in one spelling, so that every firm reads them alike. What
          # can't be read stays as it is, for `problems` to tell.
          def normalized(table, reading)
            return self if shape_problems.any? || writes.any? { |key| table.field(key).nil? }

            Decision.from(attributes.merge("rows" => Decisions::TableParser.new(self, table, reading).normalized_rows))
          rescue Expression::Invalid
            self
          end

          def with_choices(table, renamed)
            super.merge(
              "rows" =>
                Decisions::TableParser.new(self, table, ParseContext.new(conventions: Conventions.from({}))).rows_with(
                  renamed
                )
            )
          end

          # @param table [Design::Table]
          # @return [Array<Decisions::Input>]
          # @raise [Expression::Invalid]
          def columns(table) =
            inputs.each_index.map { |index| Decisions::Input.new(compiled(table, part: "inputs.#{index}"), table) }

          def compile(table)
            Compiled.new(
              rule: self,
              field: table.field(field),
              reads: triggers(table),
              partners: Analysis::Pairs.find(self, table),
              inputs: columns(table).map(&:formula),
              outputs: writes.map { |key| table.field(key) },
              rows: Decisions::TableParser.new(self, table, ParseContext.new(conventions: Conventions.from({}))).rows
            )
          end

          # A decision table made ready to run.
          Compiled =
            Struct.new(:rule, :field, :reads, :partners, :inputs, :outputs, :rows, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                unread = working.unreadable_among(reads)
                return working.skip(rule, field, Wording.unread(unread)) if unread
                unless reads.any? { |key| working.changed?(key) && !working.set_by?(key, partners) }
                  return working.skip(rule, field, Wording["none of its fields changed"])
                end

                evaluation = working.evaluation
                seen = values(evaluation)
                place = row_for(seen)
                working.mark(rule, place ? "row #{place + 1}" : "no row")
                if place
                  origin = Wording["row %{number} of %{table}", number: place + 1, table: rule.title]
                  return fill(working, rows[place].outputs, evaluation, origin)
                end
                unless rule.clears?
                  return working.skip(rule, field, Wording["no row matches %{values}", values: describe(seen)])
                end

                fill(working, outputs.map { nil }, evaluation, Wording["no row of %{table} matches", table: rule.title])
              end

              # @return [Array<Object>] what the inputs come to
              def values(evaluation) = inputs.map { |formula| formula.call(evaluation) }

              # @param seen [Array<Object>] as `values` gives them
              # @return [Integer, nil] index of the row that decides
              def row_for(seen) =
                rows.index { |row| row.cells.each_with_index.all? { |cell, index| cell.fits?(seen[index]) } }

              private

              def fill(working, results, evaluation, words)
                how = -> {
                  Expression::Explanation.explain(inputs, evaluation) { |lines|
                    "#{lines.join(", ")} → #{words}"
                  }
                }
                outputs.zip(results) do |target, value|
                  working.fill(rule, target, value, because: reads, words: words, how: how)
                end
              end

              def describe(seen)
                marks = field.conventions
                inputs
                  .zip(seen)
                  .map { |formula, value| "#{formula.words} #{value.nil? ? "blank" : Values.show(value, marks)}" }
                  .join(", ")
              end
            end

          private

          def formulas = super.merge(inputs.each_with_index.to_h { |text, index| ["inputs.#{index}", text] })

          def input_problems(table, part)
            found = formula_problems(table, expecting: nil, part: part)
            return found if found.any?

            kind = compiled(table, part: part).type
            return [] if %i[text number date time moment yes_no].include?(kind)

            [
              problem(
                part,
                if kind == :link
                  Messages["rules.decision.link_is_not_compared_in_table"]
                else
                  Messages["rules.decision.column_looks_at_text_number_date_time"]
                end
              )
            ]
          end

          def input_labels(table) =
            formulas.keys.grep(/\Ainputs/).map { |part| Expression::Humanizer.new(table.scope).humanize(tree(part)) }
        end
      end
    end
  end
end
