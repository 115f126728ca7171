# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # One thing that must come out of a trial. Plain, as a project file has it:
      #
      #   {"what" => "saved"}
      #   {"what" => "refused", "rule" => "r54", "field" => "wet_weight", "message" => "…"}
      #   {"what" => "value", "field" => "peak", "is" => "1222"}
      #   {"what" => "state", "field" => "second_phone", "is" => "closed"}
      #   {"what" => "logged", "field" => "stage", "before" => "Drying", "after" => "Collected"}
      #   {"what" => "unlogged", "field" => "note"}
      #   {"what" => "number", "field" => "tag", "fits" => "\"PC-\" 5DIGIT"}
      #   {"what" => "cursor", "after" => "firing", "to" => "clay_weight"}
      #
      # act:: which act of the script it is about, from 1; nil for the end
      class Expectation
        WHAT = %w[saved refused deleted value state logged unlogged number cursor].freeze
        # Of a field in a form, in words.
        STATES = %w[shown hidden open closed required optional read_only writable].freeze

        # @return [Hash{String=>Object}]
        attr_reader :attributes

        def self.from(attributes) = new(attributes)

        def initialize(attributes)
          @attributes = attributes
        end

        def what = attributes["what"]
        def field = attributes["field"]

        # @param table [Design::Table]
        # @return [Array<String>] ids of the rules that it speaks of
        def rules(table)
          case what
          when "refused" then [attributes["rule"]].compact
          when "state" then table.rules.select(&:field_state?).select { |rule| rule.field == field }.map(&:id)
          when "value", "number", "logged" then table.rules.select { |rule| rule.writes.include?(field) }.map(&:id)
          else []
          end
        end

        # @param table [Design::Table]
        # @param reading [ParseContext] by which to understand what the builder typed
        # @return [Hash{String=>Object}] plain, with values as they are kept
        def normalized(table, reading)
          design = table.field(field.to_s)
          return attributes unless design && %w[value logged].include?(what)

          attributes.to_h do |part, value|
            [part, (%w[is before after].include?(part) && value.is_a?(String)) ? kept(design, value, reading) : value]
          end
        end

        private

        # What can't be read stays as it is; then it can't come out.
        def kept(design, text, reading)
          value = design.link? ? text : design.read(text, reading)
          value.is_a?(Values::Unreadable) ? text : Values.dump(value)
        end
      end
    end
  end
end
