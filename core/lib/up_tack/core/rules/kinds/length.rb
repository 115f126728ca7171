# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a text with fewer, or more, characters than are allowed.
        # Characters are what people count as such (Unicode grapheme clusters).
        class Length < Validation
          kind "length",
            label: "Length",
            about: "Limits how many characters a text has.",
            editor: :own,
            needs: [%w[least most]]
          part "least", :whole, usual: 0
          part "most", :whole, usual: 0
          shown_by :lengths

          def lengths = @parts.values_at("least", "most")
          def constraint(_table) = ({shortest: @parts["least"], longest: @parts["most"]} if without_exception?)

          def self.suits?(field, _table) = field.textual?

          def reads(_table) = [field]

          def words(_table)
            least, most = @parts.values_at("least", "most")
            return Wording["%{least} characters", least: least] if least && least == most
            return Wording["%{least} to %{most} characters", least: least, most: most] if least && most

            return Wording["%{least} characters or more", least: least] if least

            Wording["up to %{most} characters", most: most]
          end

          SIDES = {
            %w[low below] => -> { Wording["shorter than the minimum length"] },
            %w[low on] => -> { Wording["exactly the minimum length"] },
            %w[low above] => -> { Wording["longer than the minimum length"] },
            %w[high below] => -> { Wording["shorter than the maximum length"] },
            %w[high on] => -> { Wording["exactly the maximum length"] },
            %w[high above] => -> { Wording["longer than the maximum length"] }
          }.freeze

          def sentence(table) = Messages["rules.length.must_have", field: table.field(field).label, words: words(table)]

          # Either end has three sides.
          def outcomes(table)
            ends = {"low" => @parts["least"], "high" => @parts["most"]}.compact
            super +
              ends.keys.flat_map do |part|
                %w[below on above].map do |side|
                  [
                    "#{part} #{side}",
                    SIDES.fetch([part, side]).call,
                    [[part, side]]
                  ]
                end
              end
          end

          def test(table) = Test.new(rule: id, field: table.field(field), least: @parts["least"], most: @parts["most"])

          # Whether the text is as long as it may be.
          Test =
            Struct.new(:rule, :field, :least, :most, keyword_init: true) do
              include Judging

              def call(evaluation)
                value = evaluation.value(field.key)
                return Verdict.new(:skipped, Wording.blank(field)) if value.nil?

                length = value.grapheme_clusters.length
                evaluation.probe&.then do |probe|
                  {"low" => least, "high" => most}.compact.each do |ending, limit|
                    probe.side(rule, ending, length <=> limit)
                  end
                end
                state = ((least && length < least) || (most && length > most)) ? :refused : :passed
                counted =
                  (length == 1) ? Wording["it has 1 character"] : Wording["it has %{count} characters", count: length]
                Verdict.new(state, counted)
              end
            end

          private

          def own_problems(table)
            least, most = @parts.values_at("least", "most")
            unless table.field(field).textual?
              return [problem("field", Messages["rules.length.length_is_for_texts"])]
            end
            unless least || most
              return [problem("least", Messages["rules.length.say_how_many_characters_there"])]
            end
            return [] unless least && most && least > most

            [problem("least", Messages["rules.length.at_least_and_at_most_characters", least: least, most: most])]
          end
        end
      end
    end
  end
end
