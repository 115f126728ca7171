# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Whether a mask can be typed by, and what a browser needs to follow it key
      # by key.
      module ClientMask
        # A sign for each kind of character in the patterns handed to the browser.
        SIGNS = {"DIGIT" => "D", "ALPHA" => "A", "UPPER" => "U", "LOWER" => "L", "ALNUM" => "N", "ANY" => "Y"}.freeze
        # The kinds as regular expressions after ECMA-262, for what people see as one character.
        CLASSES = {
          "D" => "\\d",
          "A" => "\\p{L}\\p{M}*",
          "U" => "[\\p{Lu}\\p{Lt}]\\p{M}*",
          "L" => "\\p{Ll}\\p{M}*",
          "N" => "(?:\\p{L}\\p{M}*|\\d)",
          "Y" => "[^]+"
        }.freeze

        module_function

        # @param mask [Mask]
        # @param bare [Boolean] whether separators are left out of what is stored
        # @return [String, nil] why it can't be typed by
        def problem(mask, bare: false)
          clash = Ambiguity.new(mask.parts).message
          return clash if clash
          if mask.rows.any? { |row| row.grep(Slots::Input).empty? }
            return Messages["masks.client_mask.mask_needs_place_for_what_is_typed"]
          end
          if bare && mask.rows.flatten.any? { |slot| slot.is_a?(Slots::Input) && slot.name == "ANY" }
            return Messages["masks.client_mask.any_characters_may_be_separators_too"]
          end
          if bare && varies_inside?(mask.parts)
            return Messages["masks.client_mask.without_its_separators_cant_be_told_apart"]
          end

          nil
        rescue Invalid => e
          e.message
        end

        # @param mask [Mask]
        # @return [Hash] for a mask library: patterns (with a sign of CLASSES for each
        #   place, optional ones in brackets, fixed characters behind a backslash),
        #   what ends each of them, and what is passed over
        def compiled(mask)
          {
            patterns: mask.rows.map { |row| pattern(row) },
            tails:
              mask.rows.map do |row|
                row.reverse.take_while { |slot| slot.is_a?(Slots::Fixed) }.reverse.map(&:character).join
              end,
            classes: CLASSES,
            turn: {upcase: "upper", downcase: "lower"}[mask.turn],
            passed_over: MaskFormatter::SEPARATORS,
            longest: mask.rows.map(&:length).max
          }
        end

        def pattern(row)
          row.map do |slot|
            next "\\#{slot.character}" if slot.is_a?(Slots::Fixed)

            slot.optional ? "[#{SIGNS.fetch(slot.name)}]" : SIGNS.fetch(slot.name)
          end.join
        end

        def varies_inside?(parts) =
          parts[0...-1].any? do |part|
            part.is_a?(Reader::Optional) || (part.is_a?(Reader::Repeated) && part.least < part.most)
          end
      end
    end
  end
end
