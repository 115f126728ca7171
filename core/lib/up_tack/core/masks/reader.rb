# frozen_string_literal: true

require "strscan"

module UpTack
  module Core
    module Masks
      # Reads a mask into its parts.
      class Reader
        # A class with how often it may stand.
        Repeated = Struct.new(:name, :least, :most, keyword_init: true)
        # Characters that stand as they are.
        Literal = Struct.new(:characters, keyword_init: true)
        # Parts that may be missing.
        Optional = Struct.new(:parts, keyword_init: true)

        def initialize(text)
          @text = text
          @scanner = StringScanner.new(text)
        end

        # @return [Array<Repeated, Literal, Optional>]
        # @raise [Invalid]
        def parts
          if @text.length > LONGEST
            mistake(Messages["masks.reader.mask_has_at_most_characters", most: LONGEST], LONGEST,
              @text.length)
          end
          found = sequence(0)
          mistake(Messages["masks.reader.closes_nothing"], place, place + 1) unless @scanner.eos?
          mistake(Messages["masks.reader.mask_needs_at_least_one_part"], 0, @text.length) if found.empty?
          found
        end

        private

        def place = @scanner.charpos

        def sequence(depth)
          found = []
          loop do
            @scanner.skip(/[[:space:]]+/)
            return found if @scanner.eos? || @scanner.check(/\]/)

            found << part(depth)
          end
        end

        def part(depth)
          from = place
          if @scanner.skip(/\[/)
            optional(from, depth)
          elsif @scanner.skip(/"/)
            literal(from)
          else
            repeated(from)
          end
        end

        def optional(from, depth)
          if depth >= DEEPEST
            mistake(Messages["masks.reader.optional_parts_stand_at_most_deep_within", most: DEEPEST], from, from + 1)
          end
          inner = sequence(depth + 1)
          mistake(Messages["masks.reader.is_not_closed"], from, from + 1) unless @scanner.skip(/\]/)
          Optional.new(parts: inner)
        end

        def literal(from)
          characters = @scanner.scan(/[^"]*/)
          mistake(Messages["masks.reader.literal_is_not_closed"], from, place) unless @scanner.skip(/"/)
          mistake(Messages["masks.reader.fixed_text_needs_at_least_one_character"], from, place) if characters.empty?
          Literal.new(characters: characters.grapheme_clusters)
        end

        def repeated(from)
          counts = @scanner.scan(/\d*\*?\d*/)
          name = @scanner.scan(/[A-Za-z]+/)
          unless name
            @scanner.getch if place == from
            mistake(
              Messages["masks.reader.kind_of_character_is_expected_here", kinds: CharacterClasses::ALL.keys.join(", ")],
              from,
              [place, from + 1].max
            )
          end
          unless CharacterClasses::ALL.key?(name.upcase)
            mistake(
              Messages[
                "masks.reader.there_is_no_kind_of_character",
                name: name,
                kinds: CharacterClasses::ALL.keys.join(", ")
              ],
              from,
              place
            )
          end

          least, most = bounds(counts)
          if most > MOST || least > most || most.zero?
            mistake(Messages["masks.reader.repetition_goes_up_to_smaller_number_first", most: MOST], from, place)
          end
          Repeated.new(name: name.upcase, least: least, most: most)
        end

        def bounds(counts)
          return 1, 1 if counts.empty?
          return counts.to_i, counts.to_i unless counts.include?("*")

          low, high = counts.split("*", -1)
          [low.to_i, high.empty? ? MOST : high.to_i]
        end

        def mistake(message, from, to) = raise(Invalid.new(message, from, to))
      end
    end
  end
end
