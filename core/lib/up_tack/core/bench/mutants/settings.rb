# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Mutants
        # Mistakes in what a rule keeps beside its formulas: each setting the other way, each entry of a
        # list forgotten, each row and cell of a table changed.
        class Settings
          def initialize(rule, table)
            @rule = rule
            @table = table
            @attributes = rule.attributes
          end

          # @return [Array<Mutant>]
          def all = choices + flags + whole + lists + value + mask + map + rows

          # @return [Array<String>] the masks that a slip of the hand makes of the rule's own
          def masks = mask.map { |mutant| mutant.attributes["mask"] }

          private

          def changed(sort, words, more)
            Mutant.new(sort: sort, words: words, attributes: @attributes.merge(more).compact)
          end

          # @return [Array<Rules::Part>] those of a type that mean anything in this rule
          def parts(type) = @rule.class.parts.select { |part| part.type == type && part.meant?(@attributes) }

          def part?(key) = @rule.class.part_keys.include?(key)

          def choices
            parts(:choice).flat_map do |part|
              now = @attributes.fetch(part.key) { part.options.first }
              (part.slips - [now]).map do |other|
                changed("setting", Words.setting(part, other), {part.key => other})
              end
            end
          end

          def flags
            parts(:flag).map do |part|
              other = @attributes[part.key] ? nil : true
              changed("setting", Words.setting(part, other), {part.key => other})
            end
          end

          def whole
            parts(:whole).flat_map do |part|
              next [] if @attributes[part.key].nil? && part.usual.to_i.zero?

              now = @attributes[part.key] || part.usual
              [now + 1, now - 1].reject(&:negative?)
                .map { |other| changed("constant", Words.whole(part, other), {part.key => other}) }
            end
          end

          def lists
            @rule.class.parts.select(&:list?).flat_map do |part|
              next [] if part.key == "outputs"

              Array(@attributes[part.key]).each_index.map do |index|
                changed(
                  "list",
                  Words.left_out(part.key, @attributes[part.key][index], @table),
                  {part.key => without(@attributes[part.key], index).then { |rest| rest.empty? ? nil : rest }}
                )
              end
            end
          end

          # A fixed default.
          def value
            return [] unless part?("value") && @attributes.key?("value")

            field = @table.field(@rule.field)
            other = field.values.slip(field, @attributes["value"])
            other.nil? ? [] : [changed("constant", "another value", {"value" => other})]
          end

          def mask
            return [] unless part?("mask")

            [changed("constant", Wording["one more character"], {"mask" => "#{@attributes["mask"]} DIGIT"}), *counted]
          end

          # Each count of a kind of character, one up.
          def counted
            text = @attributes["mask"].to_s
            text
              .to_enum(:scan, /(\d+)(?=[A-Z])/)
              .map { Regexp.last_match }
              .map do |found|
                changed(
                  "constant",
                  Wording["%{number} instead of %{value} characters", value: found[0], number: found[0].to_i + 1],
                  {"mask" => text[0...found.begin(0)] + (found[0].to_i + 1).to_s + text[found.end(0)..]}
                )
              end
          end

          def map
            return [] unless part?("map") && @attributes["map"].is_a?(Hash)

            @attributes["map"].flat_map do |parent, values|
              values.each_index.map do |index|
                changed(
                  "list",
                  Wording["%{parent} without “%{value}”", parent: parent, value: values[index]],
                  {"map" => @attributes["map"].merge(parent => without(values, index))}
                )
              end
            end
          end

          def rows
            return [] unless part?("rows")

            all = @attributes["rows"]
            left_out =
              if all.length > 1
                all.each_index.map do |index|
                  changed("row", Wording["without row %{number}", number: index + 1], {"rows" => without(all, index)})
                end
              else
                []
              end
            swapped =
              (0...all.length - 1)
                .reject { |index| apart?(all[index], all[index + 1]) }
                .map do |index|
                  changed(
                    "row",
                    Wording["rows %{number} and %{next} swapped", number: index + 1, next: index + 2],
                    {"rows" => replaced(replaced(all, index, all[index + 1]), index + 1, all[index])}
                  )
                end
            left_out + swapped + all.each_index.flat_map { |row| cells(row) }
          end

          # Rows that never fit the same record decide alike in any order.
          def apart?(one, other)
            reading = ParseContext.new(conventions: Conventions.from({}))
            @rule
              .columns(@table)
              .each_with_index
              .any? do |column, index|
                cells = [one, other].map { |row| Decisions::Cell.read(row[index], column, reading) }
                Decisions::Regions
                  .new(column, cells)
                  .all
                  .none? { |region| cells.all? { |cell| cell.fits?(region.value) } }
              end
          end

          def cells(row)
            inputs = @rule.inputs.length
            @attributes["rows"][row].each_index.flat_map do |column|
              others =
                if column < inputs
                  inputs_of(column, @attributes["rows"][row][column])
                else
                  outputs_of(column - inputs, @attributes["rows"][row][column])
                end
              others.map do |text|
                changed(
                  "row",
                  cell_words(row, column, text),
                  {"rows" => replaced(@attributes["rows"], row, replaced(@attributes["rows"][row], column, text))}
                )
              end
            end
          end

          def cell_words(row, column, text)
            Wording["row %{number}, cell %{column} as “%{text}”", number: row + 1, column: column + 1, text: text]
          end

          # A limit one step up and down, another choice, and any value.
          def inputs_of(column, cell)
            return [] if cell.strip.empty?

            moved = cell.match?(/\d/) ? [1, -1].map { |by| moved(cell, by) } : []
            choices = @rule.columns(@table)[column].choices
            [*moved, *choices&.find { |choice| !cell.include?(choice) }, ""]
          end

          def moved(cell, by)
            cell.sub(/\d{4}-\d\d-\d\d|\d+(\.\d+)?/) do |text|
              next (Calendar.iso8601(text) + by).iso8601 if text.include?("-")

              number = BigDecimal(text)
              Numbers.digits(number + (by * BigDecimal("1e-#{number.scale}")))
            end
          end

          def outputs_of(column, cell)
            field = @table.field(@rule.writes[column])
            other = cell.strip.empty? ? nil : field.values.slip(field, cell)
            [if other.nil?
               nil
             else
               (if other == true || other == false
                  other ? "yes" : "no"
                else
                  other
                end)
             end, ("" unless cell.strip.empty?)].compact
          rescue ArgumentError
            [""]
          end

          def without(list, index) = list.each_with_index.reject { |_, at| at == index }.map(&:first)
          def replaced(list, index, value) = list.each_with_index.map { |each, at| (at == index) ? value : each }
        end
      end
    end
  end
end
