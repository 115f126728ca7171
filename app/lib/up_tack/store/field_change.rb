# frozen_string_literal: true

module UpTack
  module Store
    # One field's old and new value in an entry of the change log.
    # field_id, field_label, type:: of the field as it was then
    # before, after:: the values as JSON has them; a link with the name that it had then, a person as
    #   PersonNames keeps them
    # rule_id:: the rule that made it, nil for what somebody typed
    FieldChange =
      Struct.new(:field_id, :field_label, :type, :before, :after, :rule_id) do
        # @return [Array(Object, Object)] the values before and after
        def values
          type = Core::Values[self.type]
          [before, after].map { |stored| stored.is_a?(Hash) ? stored["id"] : type.load(PersonNames.reveal(stored)) }
        end

        # @param field [Core::Design::Field, nil] as it is now, if it is still of that type
        # @return [Array(String, String)] the same as people read them
        def texts(field)
          [before, after].zip(values)
            .map { |stored, value| stored.is_a?(Hash) ? stored["title"] : Core::Values[type].show(value, field) }
        end
      end
  end
end
