# frozen_string_literal: true

module UpTack
  module Services
    # Names of fields in what was sent.
    module Fields
      module_function

      # @param visible [Core::Design::Visibility, nil] of whoever sends them: what they may not see is not there
      # @raise [Core::Invalid] naming the first field that the table does not have
      def check(table, typed, visible = nil)
        if table.fields.empty?
          Core::Invalid.because(Core::Messages["services.fields.has_no_fields_yet", table: table.label])
        end
        unknown = typed.keys.find { |key| table.field(key).nil? || visible&.field?(table.field(key)) == false } or
          return

        Core::Invalid.because(
          Core::Messages["common.there_is_no_field", unknown: unknown, table: table.label],
          part: unknown
        )
      end
    end
  end
end
