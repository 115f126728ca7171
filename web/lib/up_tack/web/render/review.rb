# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What is to be said of a decision table as a whole.
      module Review
        module_function

        # @param report [Core::Decisions::CompletenessCheck::Report]
        # @param rule [Kinds::Decision]
        # @param table [Core::Design::Table]
        def render(report, rule, table)
          inputs = rule.columns(table)
          {
            gaps: report.gaps.map { |each| example(each, inputs) },
            unreached: report.unreached.map { |row, why| {row: row, why: why} },
            contradictions:
              report.contradictions.map do |first, other, each|
                {row: first, other: other, example: example(each, inputs)}
              end,
            stopped: report.stopped
          }
        end

        # In words, and as what could be typed, where an input is a field alone.
        def example(example, inputs)
          said = inputs.zip(example.words).filter_map { |input, words|
            Core::Wording["%{input} is %{words}", input: input.label, words: words] if words
          }
          typed =
            inputs
              .zip(example.values)
              .filter_map { |input, value| [input.field.key, input.field.edit(value)] if input.field && !value.nil? }
          {words: said.empty? ? [Core::Wording["any values"]] : said, typed: typed.to_h}
        end
      end
    end
  end
end
