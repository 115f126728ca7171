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
          @taken = taken
          @text = Interchange::CellText.new(conventions)
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

        def text(cell)
          return if cell.match?(/\A\s*\z/) || (@taken.nothing && Interchange::CellText.nothing?(cell.strip))

          made(cell)
        end

        def made(cell)
          cell = cell.delete_prefix("'") if @sheet && cell.is_a?(String) && cell.match?(HARMLESS)
          if field.day? then date(cell)
          elsif field.numeric? then number(cell)
          elsif field.link? then @links.find(field, Interchange::Profile.text(cell))
          elsif field.yes_no? then cell.is_a?(String) ? read(cell) : cell
          elsif field.moment? then moment(cell)
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

        # A day alone is its midnight: spreadsheets and programs write it so.
        def moment(cell)
          return read("#{cell.iso8601} 00:00") if cell.is_a?(Date)

          read(Interchange::Profile.text(cell))
        end

        # What the field itself does not take may be written as other programs write it.
        def read(text)
          value = field.read(text, @reading)
          value = written_otherwise(text.strip, value) if value.is_a?(Core::Values::Unreadable)
          raise Wrong, value.message if value.is_a?(Core::Values::Unreadable)

          value
        end

        def written_otherwise(text, refused)
          found =
            if field.numeric? then number_of(text)
            elsif field.day? then @text.date(text, @taken.dates || @reading.conventions.date_order)
            elsif field.moment? then moment_of(text, @taken.dates || @reading.conventions.date_order)
            elsif field.yes_no? then @text.answer(text)
            end
          found.nil? ? refused : field.read(found, @reading)
        end

        def moment_of(text, order)
          day = @text.date(text, order)
          day ? "#{day.iso8601} 00:00" : @text.moment(text, order)
        end

        def number_of(text)
          found = @text.number(text, @reading.conventions.decimal_mark, @taken.unit)
          return found unless found && @taken.round && found.n_significant_digits > Core::Numbers::KEPT_DIGITS

          found.round(Core::Numbers::KEPT_DIGITS - found.exponent)
        end
      end
    end
  end
end
