# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Where a mask leaves it open to which part a character belongs, so that what is typed key by
      # key could become something else than what is meant: a part of open length before one that
      # may begin alike, be it that parts between them are left out, and an optional part that may
      # begin like what follows it. Letters are turned to the case of their place, so that they are
      # alike whatever their case.
      class Ambiguity
        # @param parts [Array] as Reader gives them
        def initialize(parts)
          @parts = parts
        end

        # @return [String, nil] what is unclear, and what to do
        def message = clash(@parts, [])

        private

        # @param follow [Array] parts that come after all of these
        def clash(parts, follow)
          parts.each_with_index do |part, index|
            found = of_part(part, parts.drop(index + 1) + follow)
            return found if found
          end
          nil
        end

        def of_part(part, rest)
          case part
          when Reader::Repeated
            other = (part.least < part.most) ? heads(rest).find { |head| meet?(part, head) } : nil
            other && unclear(part, other)
          when Reader::Optional
            return unseen(part) if alike?(heads(part.parts), heads(rest)) || turned_meanwhile?(part.parts, rest)

            clash(part.parts, rest)
          end
        end

        # @return [Array<Reader::Repeated, String>] what may stand first, places as parts and fixed characters
        def heads(parts)
          parts.each_with_object([]) do |part, found|
            case part
            when Reader::Literal then return found << part.characters.first
            when Reader::Optional then found.concat(heads(part.parts))
            else
              found << part
              return found if part.least.positive?
            end
          end
        end

        def alike?(ones, others) = ones.any? { |one| others.any? { |other| meet?(one, other) } }

        # As long as it is not seen that an optional part is meant, what is typed there is taken for
        # what follows; a letter whose case counts would have lost it by then.
        def turned_meanwhile?(optional, rest)
          (kinds(optional) & %w[ALPHA ALNUM ANY FIXED]).any? && (kinds(rest) & %w[UPPER LOWER]).any?
        end

        def kinds(parts)
          parts.flat_map do |part|
            case part
            when Reader::Literal then part.characters.grep(/\p{L}/).any? ? ["FIXED"] : []
            when Reader::Optional then kinds(part.parts)
            else [part.name]
            end
          end
        end

        def meet?(one, other)
          return one.casecmp?(other) if one.is_a?(String) && other.is_a?(String)
          return meet?(other, one) if one.is_a?(String)
          return CharacterClasses.alike?(one.name, other.name) unless other.is_a?(String)

          CharacterClasses::ALL.fetch(one.name).match?(CharacterClasses.turned(one.name, other))
        end

        def unclear(part, other)
          said = other.is_a?(String) ? "“#{other}”" : Phrases.part(other)
          Messages["masks.ambiguity.nothing_shows_where_end_and_begin", part: Phrases.part(part), said: said]
        end

        def unseen(part)
          Messages["masks.ambiguity.nothing_shows_whether_is_there_or_left", parts: Phrases.describe(part.parts)]
        end
      end
    end
  end
end
