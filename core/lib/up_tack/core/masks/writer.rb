# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Writes the parts of a mask in the shape of ABNF, and to and from the plain
      # pieces from which people put one together:
      #
      #   {"class" => "UPPER", "least" => 2, "most" => 2}, {"text" => "-"},
      #   {"optional" => [{"class" => "DIGIT", "least" => 1, "most" => 3}]}
      module Writer
        module_function

        # @param parts [Array] as Reader gives them
        # @return [String]
        def text(parts)
          parts.map do |part|
            case part
            when Reader::Literal then %("#{part.characters.join}")
            when Reader::Optional then "[ #{text(part.parts)} ]"
            else "#{counts(part)}#{part.name}"
            end
          end.join(" ")
        end

        # @return [Array<Hash>] the pieces
        def pieces(parts)
          parts.map do |part|
            case part
            when Reader::Literal then {"text" => part.characters.join}
            when Reader::Optional then {"optional" => pieces(part.parts)}
            else {"class" => part.name, "least" => part.least, "most" => part.most}
            end
          end
        end

        # @param pieces [Array<Hash>]
        # @return [String] the mask that they make
        # @raise [Invalid] for a piece that says nothing
        def from_pieces(pieces) = pieces.map { |piece| from_piece(piece) }.join(" ")

        def from_piece(piece)
          return from_text(piece["text"]) if piece.is_a?(Hash) && piece["text"].is_a?(String)
          if piece.is_a?(Hash) && piece["optional"].is_a?(Array) && piece["optional"].any?
            return "[ #{from_pieces(piece["optional"])} ]"
          end

          name, least, most = piece.is_a?(Hash) ? piece.values_at("class", "least", "most") : nil
          nothing_said unless name.is_a?(String) && [least, most].all?(Integer)
          counts(Reader::Repeated.new(name: name, least: least, most: most)) + name
        end

        def from_text(text)
          nothing_said if text.empty?
          raise Invalid.new(Messages["masks.writer.fixed_text_cant_hold_double_quote"], 0, 0) if text.include?('"')

          %("#{text}")
        end

        def nothing_said =
          raise(
            Invalid.new(
              Messages["masks.writer.piece_says_nothing_yet"],
              0,
              0
            )
          )

        def counts(part)
          return "" if part.least == 1 && part.most == 1
          return part.least.to_s if part.least == part.most

          "#{part.least unless part.least.zero?}*#{part.most unless part.most == MOST}"
        end
      end
    end
  end
end
