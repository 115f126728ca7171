# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      module Kinds
        # How a text must be typed. What was typed, pasted or sent is brought into
        # the form of the mask; what is half typed is refused, or cleared when the
        # builder says so.
        class Mask < Rule
          kind "mask",
            label: "Mask",
            about: "Formats a text while it is typed.",
            editor: :own,
            begins: {"mask" => "", "half" => "refuse", "separators" => "keep"},
            needs: [%w[mask]]
          stage "mask"
          guide "mask"
          effect :mask
          part "mask", :mask
          part "half", :choice, choices: [["refuse", "is refused"], ["clear", "is cleared"]]
          part "separators", :choice, choices: [["keep", "are stored"], ["drop", "are left out"]], slips: []
          part "message", :text
          part "old", :choice, choices: [["check", "are checked"], ["let", "are not checked"]]
          shown_by :masked
          histories :validated, :misfits

          def looks_at_value? = true
          def masks? = true
          HALF = %w[refuse clear].freeze
          SEPARATORS = %w[keep drop].freeze

          def self.suits?(field, table) = field.one_line? && !table.rule_owned?(field.key)

          def problems(table)
            missing = missing_field(table)
            return missing if missing.any?
            unless table.field(field).one_line?
              return [problem("field",
                Messages["rules.all.mask_is_for_texts_of_one_line"])]
            end
            if table.worked_out?(field)
              return [
                problem(
                  "field",
                  Messages["rules.mask.is_worked_out_so_nobody_types", field: table.field(field).label]
                )
              ]
            end
            if doubled?(table)
              return [problem("field", Messages["rules.mask.already_has_mask", field: table.field(field).label])]
            end

            stamped_problems(table) + choice_problems + mask_problems
          end

          def writes = [field]
          def reads(_table) = []
          def clears? = @parts["half"] == "clear"
          def bare? = @parts["separators"] == "drop"
          def lets_old? = @parts["old"] == "let"

          # @return [Masks::Mask]
          # @raise [Masks::Invalid]
          def text_expression(_table, classes) = mask.expression(classes)

          def mask = @mask ||= Masks.read(@parts["mask"].to_s)

          def words(_table) = mask.words

          def sentence(table) =
            Messages[
              clears? ? "rules.mask.sentence_if_half_typed_is_cleared" : "rules.mask.sentence",
              field: table.field(field).label,
              mask: mask.words
            ]

          def message(table) = @parts["message"].to_s.strip.empty? ? sentence(table) : @parts["message"]

          # A number that a rule gives is never half typed.
          def outcomes(table)
            fits = ["fits", Wording["the input has the format"], %w[set passed]]
            return [fits] if table.rule_owned?(field)

            [
              fits,
              [
                "unfit",
                clears? ? Wording["incomplete input is cleared"] : Wording["other input is refused"],
                clears? ? %w[cleared] : %w[refused]
              ]
            ]
          end

          def compile(table) =
            Compiled.new(
              rule: self,
              field: table.field(field),
              mask: mask,
              message: @parts["message"].to_s.strip.then { |text| text.empty? ? nil : text }
            )

          # A mask made ready to run.
          Compiled =
            Struct.new(:rule, :field, :mask, :message, keyword_init: true) do
              # @param working [Save::SaveState]
              def apply(working)
                value = working.values[field.key]
                return working.skip(rule, field, Wording.unread(field)) if working.unreadable?(field.key)
                return working.skip(rule, field, Wording.blank(field)) if value.nil?
                if rule.lets_old? && !working.new? && !working.changed?(field.key)
                  return working.skip(rule, field, Wording["not changed"])
                end

                found = mask.fit(value)
                return write_formatted(working, value, found.text) if found.complete
                if rule.clears? && found.half
                  return working.reformat(rule, field, nil,
                    Wording["cleared because it was incomplete: %{message}", message: found.message])
                end

                working.refuse(
                  rule,
                  field,
                  message || "#{found.message[0].upcase}#{found.message[1..]}.",
                  fields: [field.key]
                ) { found.message }
              end

              private

              def write_formatted(working, value, text)
                return working.pass(rule, field) { Wording["it has this format"] } if text == value

                working.reformat(rule, field, text, Wording["formatted by its mask"])
              end
            end

          private

          # A number may be typed where it is let come along; a stamp never is.
          def stamped_problems(table)
            return [] unless Watched.late?(table, field)

            message = Messages["rules.mask.is_written_when_record_is_logged", field: table.field(field).label]
            [Problem.new(part: "field", message: message, tolerable: true)]
          end

          def choice_problems
            found = []
            unless [nil, *HALF].include?(@parts["half"])
              found << problem("half", Messages["rules.mask.what_is_half_typed_can_be_refused"])
            end
            unless [nil, *SEPARATORS].include?(@parts["separators"])
              found << problem("separators", Messages["rules.mask.separators_can_be_kept_keep_or_left"])
            end
            found
          end

          def mask_problems
            found = Masks::ClientMask.problem(mask, bare: bare?)
            # Earlier versions let some masks be that are typed in more than one way.
            found ? [Problem.new(part: "mask", message: found, tolerable: true)] : []
          rescue Masks::Invalid => e
            [Problem.new(part: "mask", message: e.message, from: e.from, to: e.to)]
          end
        end
      end
    end
  end
end
