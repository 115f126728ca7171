# frozen_string_literal: true

module UpTack
  module UseCases
    # Names of fields in what was sent.
    module Fields
      module_function

      # @raise [Core::Design::Invalid] naming the first field that the table does not have
      def check(table, typed)
        Core::Design::Invalid.because("#{table.label} has no fields yet; add one before records.") if table.fields.empty?
        unknown = typed.keys.find { |key| table.field(key).nil? } or return

        Core::Design::Invalid.because("There is no field `#{unknown}` in #{table.label}.", part: unknown)
      end
    end
  end
end
