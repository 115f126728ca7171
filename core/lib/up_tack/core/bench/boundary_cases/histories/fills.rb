# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        class Histories
          # Records for what sets other fields: one watched field changes alone, the fields are filled already or
          # typed by hand too, each cell of a table is just not met.
          module Fills
            private

            # A field that moves it changes, and no other.
            def alone
              @rule.triggers(@table).reject { |key| @table.worked_out?(key) }.first(MOST_FIELDS).flat_map do |key|
                assignments = condition ? turned(condition, key) : differently(key).first(1).map { |value|
                  {key => value}
                }
                assignments.first(2).map { |assignment|
                  [Wording["%{field} alone changes", field: label(key)], :changed, targets.merge(assignment)]
                }
              end
            end

            # Changes of one field, or of what it links to, by which a condition comes true.
            def turned(condition, key)
              solver = @base.solver(@table, @seen, through: key)
              @solver
                .assignments_for(condition, false, @seen)
                .first(2)
                .flat_map do |unmet|
                  solver
                    .assignments_for(condition, true, @seen.merge(unmet))
                    .reject(&:empty?)
                    .map { |assignment| assignment.merge("first" => unmet) }
                end
            end

            def targets = typed(@rule.writes).to_h { |key| [key, :untyped] }

            # What it sets is there already, or is typed by hand too.
            def filled
              assignment = acting.first || {}
              blank = typed(@rule.writes).to_h { |key| [key, nil] }
              [
                ["its fields are filled already", :refilled, assignment],
                ["its fields are typed by hand too", :by_hand, assignment],
                ["its fields are left blank by hand", :typed, assignment.merge(blank)],
                ["changed later", :changed, assignment]
              ]
            end

            # Each cell of a row just not met, while the others are.
            def cells
              columns = @rule.columns(@table)
              cases = PointCases.new(@table, @base, @solver, @seen)
              rows = Decisions::TableParser.new(@rule, @table, ParseContext.new(conventions: Conventions.from({}))).rows
              regions = Decisions::Regions.values_of(columns, rows)
              found =
                rows.each_with_index.flat_map do |row, place|
                  misses(row, regions).map { |index, values| [place, index, values] }
                end
              cases =
                found
                  .uniq(&:last)
                  .first(MOST_CELLS)
                  .filter_map do |place, index, values|
                    assignment = cases.inputs(columns, values).first or next
                    other = {field: columns[index].label, value: shown(columns[index], values[index])}
                    words = Wording["row %{number}, but %{field} is %{value}", number: place + 1, **other]
                    [words, :typed, targets.merge(assignment)]
                  end
              cases + blanked(columns.filter_map(&:field)) + undecided
            end

            # A row fitted, and none does any more.
            def undecided
              none = @shown["no row"]&.assignment
              rows = @shown.select { |key, _| key.start_with?("row ") }.values.map(&:assignment)
              row = rows.find { |assignment| assignment.keys.all? { |key| @table.field(key) } }
              return [] unless none && row

              [
                ["no row matches any more", :changed, targets.merge(none, "first" => row)],
                ["filled, and no row matches", :refilled, none]
              ]
            end

            def shown(column, value) = value.nil? ? "blank" : column.show(value)

            def blanked(fields)
              open = fields.reject { |field| @table.rule_owned?(field.key) }
              open.map { |field|
                [Wording["%{field} is blank later", field: field.label], :changed, targets.merge(field.key => nil)]
              }
            end

            # @return [Array<Array(Integer, Array)>] a cell, and inputs that only it does not let pass
            def misses(row, regions)
              inside = row.cells.zip(regions).map { |cell, values| values.find { |value| cell.fits?(value) } }
              row.cells.each_index.flat_map do |index|
                outside(row.cells[index], regions[index]).map do |value|
                  [index, inside.dup.tap { |inputs| inputs[index] = value }]
                end
              end
            end

            # The values next to those that a cell lets pass.
            def outside(cell, values)
              fits = values.map { |value| cell.fits?(value) }
              return [] if fits.all? || fits.none?

              near = [
                values[fits.index(true) - 1],
                values[(fits.rindex(true) + 1) % values.length],
                values[fits.index(false)]
              ]
              near.uniq.reject { |value| cell.fits?(value) }.first(2)
            end
          end
        end
      end
    end
  end
end
