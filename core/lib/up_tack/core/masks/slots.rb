# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # A mask as a row of places, one a character, for typing: each fixed, or for
      # a character of one kind. A mask with optional parts comes to several such
      # rows, the shortest first.
      module Slots
        # A character that stands by itself.
        Fixed = Struct.new(:character)
        # A place for a character of a kind; one that is optional may stay empty.
        Input = Struct.new(:name, :optional)

        # Rows that a mask may come to.
        MOST_ROWS = 16

        module_function

        # @param parts [Array] as Reader gives them
        # @return [Array<Array<Fixed, Input>>]
        # @raise [Invalid] when there are too many ways to leave parts out
        def rows(parts)
          rows = parts.reduce([[]]) do |found, part|
            alternatives = alternatives(part)
            alternatives.flat_map { |way|
              found.map { |row|
                row + way
              }
            }.tap { |all| too_many if all.length > MOST_ROWS }
          end
          rows.reject(&:empty?).uniq
        end

        def alternatives(part)
          case part
          when Reader::Literal then [part.characters.map { |each| Fixed.new(each) }]
          when Reader::Optional then [[], *rows(part.parts)]
          else [Array.new(part.most) { |index| Input.new(part.name, index >= part.least) }]
          end
        end

        def too_many = raise(Invalid.new(Messages["masks.slots.mask_to_type_by_has_at_most"], 0, 0))
      end
    end
  end
end
