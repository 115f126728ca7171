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
          Core::Invalid.because("#{table.label} has no fields yet; add one before records.")
        end
        unknown = typed.keys.find { |key| table.field(key).nil? || visible&.field?(table.field(key)) == false } or
          return

        Core::Invalid.because("There is no field `#{unknown}` in #{table.label}.", part: unknown)
      end
    end
  end
end
