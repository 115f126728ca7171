# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Keys: the lower-case names by which formulas, programs and the database
      # know a table or field. Made from the label that people see.
      module Names
        SHAPE = /\A[a-z][a-z0-9]*(_[a-z0-9]+)*\z/
        LONGEST_KEY = 50
        LONGEST_LABEL = 60
        # Names that the store needs for itself.
        STORE_FIELDS = %w[id].freeze
        STORE_TABLES = /\A(up_tack_|sqlite_|schema_migrations\z|ar_internal_metadata\z)/
        # Letters that Unicode does not take apart into a base and a mark.
        LETTERS = {
          "ß" => "ss",
          "æ" => "ae",
          "œ" => "oe",
          "ø" => "o",
          "đ" => "d",
          "ð" => "d",
          "þ" => "th",
          "ł" => "l",
          "ı" => "i"
        }.freeze

        module_function

        # @param label [String]
        # @param taken [Array<String>] keys that are in use
        # @param fallback [String] for a label without a Latin letter
        # @return [String] a free key of the right shape
        def key_for(label, taken:, fallback: "field")
          base = latin(label).gsub(/[^a-z0-9]+/, "_").gsub(/\A_+|_+\z/, "")[0, LONGEST_KEY - 6].sub(/_+\z/, "")
          base = fallback if base.empty?
          base = "n_#{base}" if base.match?(/\A\d/)
          base = "#{fallback}_#{base}" if reserved?(base)
          return base unless taken.include?(base)

          (2..).each { |number| return "#{base}_#{number}" unless taken.include?("#{base}_#{number}") }
        end

        # @return [String, nil] what is wrong with a key
        def key_problem(key)
          unless key.is_a?(String) && key.match?(SHAPE)
            return Messages["design.names.key_is_made_of_small_letters"]
          end
          return Messages["design.names.key_has_at_most_characters", most: LONGEST_KEY] if key.length > LONGEST_KEY

          Messages["design.names.is_word_of_formula_language", key: key] if reserved?(key)
        end

        # @return [String, nil] what is wrong with a label
        def label_problem(label)
          return Messages["design.names.name_is_needed"] unless label.is_a?(String) && !label.strip.empty?
          return Messages["common.is_not_valid_text"] unless label.valid_encoding?
          if label.length > LONGEST_LABEL
            return Messages["design.names.name_has_at_most_characters", most: LONGEST_LABEL]
          end

          Messages["design.names.name_cant_hold_line_breaks_or_other"] if label.match?(/[[:cntrl:]]/)
        end

        def reserved?(key)
          Expression::Parser::RESERVED.include?(key) || STORE_FIELDS.include?(key) || key.match?(STORE_TABLES)
        end

        def latin(label)
          label.unicode_normalize(:nfd).gsub(/\p{M}/, "").downcase.gsub(/[#{LETTERS.keys.join}]/, LETTERS)
        end
      end
    end
  end
end
