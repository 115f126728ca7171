# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Brings what was typed, pasted or sent into the form that a mask asks for:
      # separators appear by themselves, other ones are passed over, letters turn
      # to the case asked for. The browser does the same key by key; what both
      # make of a text is held together by one table of cases.
      class MaskFormatter
        # What people write between the parts of a code, and may be missing or another.
        SEPARATORS = "[\\s\\-\u2010-\u2015/.,_:;()\u00b7'\u2019]"
        SEPARATOR = /\A#{SEPARATORS}\z/

        # text:: the formatted text; what was given where it does not fit
        # complete:: whether the whole mask is filled
        # message:: what is missing or wrong, nil when it is complete
        # half:: whether what is there fits so far
        Result = Struct.new(:text, :complete, :message, :half, keyword_init: true)

        # What one row of places makes of a text.
        # used:: characters that found a place; lost:: [character, place] of the
        #   first that found none; left:: the places that are still empty
        # given:: fixed characters that came by themselves
        Walk = Struct.new(:text, :used, :given, :lost, :left, keyword_init: true) do
          def complete? = left.none? { |slot| slot.is_a?(Slots::Input) && !slot.optional }

          # @return [String] with the fixed characters that end it
          def formatted = text + left.grep(Slots::Fixed).map(&:character).join
        end

        # @param rows [Array<Array<Slots::Fixed, Slots::Input>>]
        # @param turn [Symbol, nil] :upcase or :downcase where all its letters are of one case
        def initialize(rows, turn)
          @rows = rows
          @turn = turn
        end

        # @param text [String]
        # @return [Result]
        def format(text)
          # Of plain letters each stands for itself, which is known sooner.
          characters = text.match?(/[^ -~]/) ? text.grapheme_clusters : text.chars
          if characters.length > MOST * 10
            return Result.new(text: text, complete: false, message: too_long(characters.length))
          end

          best = best(characters)
          return Result.new(text: text, complete: false, message: misfit(best)) if best.lost
          return Result.new(text: best.formatted, complete: true, message: nil) if best.complete?

          Result.new(text: best.text, complete: false, message: missing(best), half: true)
        end

        private

        # The row that takes in most; of those alike the one that adds least, so that a text which
        # fits stays as it is; then one that is complete, then the shortest.
        def best(characters)
          walks = @rows.map { |row| walk(row, characters) }
          walks.max_by.with_index { |walk, index| [walk.used, -walk.given, walk.complete? ? 1 : 0, -index] }
        end

        def walk(row, characters)
          text = []
          used = given = 0
          at = 0
          lost = nil
          characters.each do |character|
            passed, place = seek(row, at, character)
            fixed = row[at...passed].grep(Slots::Fixed)
            given += fixed.length
            text.concat(fixed.map(&:character))
            if place
              text << place
              used += 1
              at = passed + 1
            else
              at =
                row[0...passed]
                  .rindex { |slot| slot.is_a?(Slots::Fixed) }
                  .then { |last| (last && last >= at) ? last + 1 : at }
              lost ||= [character, text.length, row[at..]] unless character.match?(SEPARATOR)
            end
          end
          Walk.new(text: text.join, used: used, given: given, lost: lost, left: row[at..])
        end

        # @return [Array(Integer, String)] where the character goes and as what; or
        #   the place that it can't pass, and nil
        def seek(row, at, character)
          (at...row.length).each do |index|
            case (slot = row[index])
            when Slots::Fixed
              return [index, slot.character] if same?(slot.character, character)
            else
              turned = CharacterClasses.turned(slot.name, character)
              return [index, turned] if CharacterClasses::ALL.fetch(slot.name).match?(turned)
              return [index, nil] unless slot.optional
            end
          end
          [row.length, nil]
        end

        def same?(fixed, character) = fixed == character || (!@turn.nil? && fixed == character.public_send(@turn))

        def missing(walk)
          wanted = walk.left.grep(Slots::Input).reject(&:optional).chunk_while { |one, other| one.name == other.name }
          groups = wanted.each_with_index.map do |group, index|
            kind = group.first.name
            index.zero? ? Phrases.more(group.length, kind) : Phrases.count(group.length, kind)
          end
          count = walk.left.grep(Slots::Input).count { |slot| !slot.optional }
          missing = Phrases.to_sentence(groups)
          (count == 1) ? Wording["%{part} is missing", part: missing] : Wording["%{parts} are missing", parts: missing]
        end

        def misfit(walk)
          character, place, left = walk.lost
          shown = "“#{character}”"
          wanted = left.find { |slot| slot.is_a?(Slots::Input) } || left.first
          unless wanted
            ending = Values::Plain.cut(walk.text, 30)
            return Wording["%{character} is too much: it ends after “%{ending}”", character: shown, ending: ending]
          end

          told = {wanted: in_words(wanted), place: place + 1, character: shown}
          Wording["%{wanted} is expected at position %{place}, not %{character}", **told]
        end

        def in_words(slot)
          return "“#{slot.character}”" if slot.is_a?(Slots::Fixed)

          Wording[CharacterClasses::ARTICLED.fetch(slot.name)]
        end

        def too_long(length)
          Wording["it has %{grouped} characters, which is far more than fit", grouped: Values::Plain.grouped(length)]
        end
      end
    end
  end
end
