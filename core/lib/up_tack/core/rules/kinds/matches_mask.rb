# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # Refuses a text that is not written as a mask says. Unlike the rule at the
        # Mask stage it changes nothing.
        class MatchesMask < Validation
          kind "fits",
            label: "Format (mask)",
            about: "The text must have the format of a mask.",
            begins: {"mask" => ""},
            needs: [%w[mask]]
          part "mask", :mask, label: "Mask"
          shown_by :masked
          histories :validated, :misfits

          def self.suits?(field, _table) = field.one_line?

          def reads(_table) = [field]
          def text_expression(_table, classes) = mask.expression(classes)

          def mask = @mask ||= Masks.read(@parts["mask"].to_s)
          def words(_table) = Wording["written as %{words}", words: mask.words]
          def sentence(table) = Messages["rules.all.must_be", field: table.field(field).label, words: words(table)]
          def test(table) = Test.new(field: table.field(field), mask: mask)

          # Whether the text fits the mask.
          Test = Struct.new(:field, :mask, keyword_init: true) do
            include Judging

            def call(evaluation)
              value = evaluation.value(field.key)
              return Verdict.new(:skipped, Wording.blank(field)) if value.nil?

              return Verdict.new(:passed, Wording["it has this format"]) if mask.fits?(value)

              Verdict.new(:refused, Wording["it has another format"])
            end
          end

          private

          def own_problems(table)
            unless table.field(field).one_line?
              return [problem("field",
                Messages["rules.all.mask_is_for_texts_of_one_line"])]
            end

            mask
            []
          rescue Masks::Invalid => e
            [Problem.new(part: "mask", message: e.message, from: e.from, to: e.to)]
          end
        end
      end
    end
  end
end
