# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # The numbers of a table that the log tells of, beside those that are noted as given.
      class Numbers
        def initialize(table)
          @table = table
          @fields =
            table
              .rules
              .select(&:numbers?)
              .filter_map { |rule| table.field(rule.field) }
              .to_h { |field| [field.id, field] }
          @logged = @fields.transform_values { Set.new }
        end

        # @param change [FieldChange]
        # @return [void]
        def met(change, _record)
          logged = @logged[change.field_id] or return
          logged << change.after.to_s.hash unless change.after.nil?
        end

        # @return [Array<String>]
        def faults
          @fields.flat_map do |id, field|
            noted =
              LogCheck.rows(
                "SELECT text FROM up_tack_numbers WHERE field_id = #{Database.connection.quote(id)}"
              ).flatten
            extra = noted.reject { |text| @logged[id].include?(text.hash) }
            missing = @logged[id].length - (noted.length - extra.length)
            [
              if extra.any?
                Core::Messages[
                  "store.numbers.is_noted_as_given_and_no_entry",
                  field: field.label,
                  table: @table.label,
                  number: extra.first
                ]
              end,
              if missing.positive?
                Core::Messages[
                  "store.numbers.numbers_log_tells_of_are_not_noted",
                  field: field.label,
                  table: @table.label,
                  missing: missing
                ]
              end
            ].compact
          end
        end
      end
    end
  end
end
