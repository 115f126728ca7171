# frozen_string_literal: true

module UpTack
  module Store
    # One field's old and new value in an entry of the change log, as JSON.
    # type:: the field's type at that time, by which the values are read again
    class FieldChange < SystemRecord
      self.table_name = "up_tack_changes"
      self.inheritance_column = nil
      belongs_to :entry, class_name: "UpTack::Store::Entry", inverse_of: :field_changes

      # @return [Array(Object, Object)] the values before and after
      def values
        type = Core::Values[self.type]
        parsed.map { |plain| plain.is_a?(Hash) ? plain["id"] : type.load(plain) }
      end

      # @param field [Core::Design::Field, nil] as it is now, if it is still of that type
      # @return [Array(String, String)] the same as people read them; a link by the name it had then
      def texts(field)
        parsed.zip(values).map { |plain, value| plain.is_a?(Hash) ? plain["title"] : Core::Values[type].show(value, field) }
      end

      private

      def parsed = [before, after].map { |json| json && JSON.parse(json) }
    end
  end
end
