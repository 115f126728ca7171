# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Makes raw input for a field out of what a cell of a file holds, read as the whole
      # column is written.
      class Cells
        # A cell that is no value of its field. message:: for people
        class Wrong < StandardError; end
        # Put before a text that a spreadsheet would take for a formula, and taken away again.
        HARMLESS = /\A'+(?:[\t\r]|[[:space:]]*[=+\-@＝＋－＠])/

        # @param field [Core::Design::Field]
        # @param taken [Taken]
        # @param conventions [Core::Conventions] the firm's
        # @param links [Links]
        # @param sheet [Boolean] whether the file comes from a spreadsheet
        def initialize(field, taken, conventions, links, sheet:)
          @field = field
          @links = links
          @sheet = sheet
          decimal = taken.decimal || conventions.decimal_mark
          group =
            (decimal == conventions.decimal_mark) ? conventions.group_mark : {"," => ".", "." => ","}.fetch(decimal)
          conventions =
            Core::Conventions.from(
              conventions.attributes.merge(
                "date_order" => taken.dates || conventions.date_order,
                "decimal_mark" => decimal,
                "group_mark" => group
              )
            )
          @reading = Core::ParseContext.new(conventions: conventions)
          @known = Core::InternCache.new
        end

        attr_reader :field

        # @param cell [Object, nil]
        # @return [Object, nil] raw input, the very same one for texts that are alike; nil for a blank one
        # @raise [Wrong]
        def raw(cell)
          return if cell.nil?
          return made(cell) unless cell.is_a?(String)

          field.link? ? text(cell) : @known.one(cell) { text(cell).freeze }
        end

        private

        def text(cell) = cell.match?(/\A\s*\z/) ? nil : made(cell)

        def made(cell)
          cell = cell.delete_prefix("'") if @sheet && cell.is_a?(String) && cell.match?(HARMLESS)
          if field.day? then date(cell)
          elsif field.numeric? then number(cell)
          elsif field.link? then @links.find(field, Interchange::Profile.text(cell))
          elsif field.yes_no? then cell
          elsif field.moment? then cell.is_a?(Date) ? cell.iso8601 : Interchange::Profile.text(cell)
          else Interchange::Profile.text(cell)
          end
        end

        def date(cell)
          return cell if cell.is_a?(Date)
          return Core::Calendar.date_of(cell) if cell.is_a?(Time)

          read(Interchange::Profile.text(cell))
        end

        def number(cell)
          return cell if cell.is_a?(BigDecimal)

          read(Interchange::Profile.text(cell))
        end

        def read(text)
          value = field.read(text, @reading)
          raise Wrong, value.message if value.is_a?(Core::Values::Unreadable)

          value
        end
      end
    end
  end
end
