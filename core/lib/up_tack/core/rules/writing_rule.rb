# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # What the rules have in common that set fields from others: what somebody
      # typed after the change that moves them stays, unless they overrule the hand.
      #
      # only_blank:: whether they leave alone what is filled
      # overrules:: whether they write over what was typed, whenever that was
      class WritingRule < Rule
        stage "fill"

        def self.suits?(field, table) = !table.rule_owned?(field.key)

        def reads_before? = true
        def only_blank? = @parts["only_blank"] == true
        def overrules? = @parts["overrules"] == true

        def fields(table) = [*writes, *reads(table)].uniq

        private

        # @return [Array<Problem>] of the fields that it sets
        def target_key_problems(table, part)
          return [problem(part, Messages["rules.writing_rule.pick_fields_to_set"])] if writes.empty?
          if writes.uniq.length < writes.length
            return [
              problem(
                part,
                Messages[
                  "rules.writing_rule.is_set_twice_in_rule",
                  field: label(table, writes.tally.key(2) || writes.first)
                ]
              )
            ]
          end
          unless writes.include?(field)
            return [
              problem("field", Messages["rules.writing_rule.rule_is_pinned_on_so_it_sets", field: label(table, field)])
            ]
          end

          loose = writes.find { |key| table.field(key).nil? }
          return [problem(part, Messages["common.there_is_no_field", unknown: loose, table: table.label])] if loose

          given = writes.find { |key| table.worked_out?(key) }
          if given
            [problem(part, Messages["rules.writing_rule.is_worked_out_by_rule_already", field: label(table, given)])]
          else
            []
          end
        end

        def label(table, key) = table.field(key)&.label || key

        # @return [String] how it stands to the hand, where that is not as usual
        def manner
          [(Wording[", only blank fields"] if only_blank?),
            (Wording[", also over values typed by hand"] if overrules?)].compact.join
        end
      end
    end
  end
end
