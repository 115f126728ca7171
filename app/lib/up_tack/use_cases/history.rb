# frozen_string_literal: true

module UpTack
  module UseCases
    # Looking back: entries of the change log by what they are about, and putting
    # back what they tell of.
    module History
      # What is asked for; nil for what does not matter.
      # table:: Core::Design::Table; record:: its number; person:: a number
      # field, rule:: ids; channel:: one of Store::Entry::CHANNELS; batch:: a number
      # from, to:: moments in UTC, the second not included
      Question =
        Struct.new(:table, :record, :person, :field, :rule, :channel, :batch, :from, :to, keyword_init: true) do
          # @param scope [ActiveRecord::Relation] of entries, those that tell of the field if one is asked for
          # @param by_number [Boolean] whether the newest of them are sought
          # @return [ActiveRecord::Relation] those of them that it asks for
          def narrow(scope, by_number: false)
            scope = (record || !by_number) ? scope.where(table_id: table.id) : scope.by_number([table.id]) if table
            scope = scope.where(record_id: record) if record
            scope = scope.where(person_id: person) if person
            scope = scope.where(way: channel) if channel
            scope = scope.where(batch_id: batch) if batch
            scope = scope.where(made_at: from..) if from
            scope = scope.where("made_at < ?", to) if to
            rule ? scope.where(Question::BY_RULE, rule) : scope
          end

          # @return [Boolean] whether it asks for all entries of a table, or of some time
          def whole? = [record, person, field, rule, channel, batch].none?
        end
      Question::BY_RULE = "EXISTS (SELECT 1 FROM json_each(differences) WHERE json_each.value ->> 5 = ?)"
    end
  end
end
