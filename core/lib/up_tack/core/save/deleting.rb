# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What stands against deleting a record, beside those that link to it.
      module Deleting
        module_function

        # @param table [Design::Table]
        # @param values [Hash{String=>Object}] of the record as it is stored
        # @param context [Core::Context]
        # @return [Array<String>] sentences, with the record's name before them
        def reasons(table, id, values, context)
          locks = table.rules.select(&:locks?).select(&:whole?)
          return [] if locks.empty?

          evaluation = Expression::Evaluation.new(values: values, old: values, context: context, is_new: false, id: id)
          said = locks.filter_map { |lock| lock.against_deletion(table, evaluation) }
          title = RecordTitle.find(table, id, values, context)
          said.map { |sentence| Wording["%{record} is locked: %{sentence}", record: title, sentence: sentence] }
        end
      end
    end
  end
end
