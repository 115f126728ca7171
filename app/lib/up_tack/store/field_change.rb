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
        [before, after].map { |json| json && type.load(JSON.parse(json)) }
      end
    end
  end
end
