# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # A mask made ready to be held against texts.
      class Mask
        # @return [Array] as Reader gives them
        attr_reader :parts

        def initialize(parts)
          @parts = parts
        end

        # @param text [String]
        # @return [Boolean] whether the whole text is written as the mask says
        def fits?(text)
          return false if text.length > MOST * 100

          unless defined?(@pattern)
            supported = ClientMask.problem(self).nil?
            @pattern =
              supported ? Regexp.new("\\A#{source(parts)}\\z".encode(Encoding::UTF_8), Regexp::FIXEDENCODING) : nil
          end
          @pattern ? @pattern.match?(text) : followed?(text)
        end

        # @param text [String] as it was typed
        # @return [MaskFormatter::Result]
        # @raise [Invalid] for a mask by which nothing can be typed
        def fit(text) = fitting.format(text)

        # @return [Array<Array<Slots::Fixed, Slots::Input>>] see Slots
        def rows = @rows ||= Slots.rows(parts)

        # @return [Symbol, nil] the case to which every letter turns, where all are of one
        def turn
          letters = rows.flatten.map { |slot| case_of(slot) }.compact.uniq
          {["upper"] => :upcase, ["lower"] => :downcase}[letters]
        end

        # @return [String] the text without its separators, if it is written as the mask says and they
        #   can be put back; one that somebody chose to type, or to leave out, could not
        def bare(text)
          return text unless fits?(text)

          stripped = text.gsub(/[^\p{L}\p{M}\p{N}]/, "")
          (dressed(stripped) == text) ? stripped : text
        end

        # @return [String] a text without separators as the mask shows it
        def dressed(text)
          found = fit(text)
          found.complete ? found.text : text
        end

        # @param classes [Hash{String=>String}] the expression of each of CharacterClasses, in a dialect of those
        # @return [String, nil] a regular expression for the whole text; nil where there is none of a bounded length
        def expression(classes) = ClientMask.problem(self).nil? ? source(parts, classes) : nil

        # @return [String] in words
        def words = Phrases.describe(parts)

        private

        def fitting = @fitting ||= MaskFormatter.new(rows, turn)

        # For a mask of any shape: all ways of reading it are followed side by
        # side, so that no mask and no text can make it slow. One that can be typed
        # by has a single way to be read, and is held against a pattern instead.
        def followed?(text)
          characters = text.grapheme_clusters
          characters.length <= MOST * 10 && after(parts, characters, [0]).include?(characters.length)
        end

        # @return [String] of a regular expression
        def source(parts, classes = nil)
          parts
            .map do |part|
              case part
              when Reader::Literal
                escaped(part.characters.join, classes)
              when Reader::Optional
                inner = source(part.parts, classes)
                nested = part.parts.length == 1 && part.parts.first.is_a?(Reader::Optional)
                nested ? inner : "(?:#{inner})?"
              else
                kind = classes ? classes.fetch(part.name) : own_class(part.name)
                "(?:#{kind}){#{part.least},#{part.most}}"
              end
            end
            .join
        end

        def own_class(name) = CharacterClasses::ALL.fetch(name).source.delete_prefix("\\A").delete_suffix("\\z")

        # Elsewhere only signs that mean something may be escaped.
        def escaped(text, classes)
          classes ? text.gsub(/[.*+?^${}()|\[\]\\\/]/) { |sign| "\\#{sign}" } : Regexp.escape(text)
        end

        def case_of(slot)
          if slot.is_a?(Slots::Input)
            return {"UPPER" => "upper", "LOWER" => "lower", "DIGIT" => nil}.fetch(slot.name, "mixed")
          end
          return unless slot.character.match?(/\p{L}/)

          (slot.character == slot.character.upcase) ? "upper" : "lower"
        end

        # @return [Array<Integer>] the places that can be reached from some places
        def after(parts, characters, places)
          parts.reduce(places) { |reached, part| beyond(part, characters, reached) }
        end

        def beyond(part, characters, places)
          case part
          when Reader::Literal
            places.filter_map do |at|
              at + part.characters.length if characters[at, part.characters.length] == part.characters
            end
          when Reader::Optional
            places | after(part.parts, characters, places)
          else
            repeated(part, characters, places)
          end
        end

        def repeated(part, characters, places)
          test = CharacterClasses::ALL.fetch(part.name)
          found = part.least.zero? ? places : []
          (1..part.most).each do |count|
            places = places.filter_map { |at| at + 1 if at < characters.length && test.match?(characters[at]) }
            break if places.empty?

            found |= places if count >= part.least
          end
          found
        end
      end
    end
  end
end
