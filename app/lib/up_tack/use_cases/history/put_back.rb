# frozen_string_literal: true

module UpTack
  module UseCases
    module History
      # Puts back what an entry of the log tells of, through the rules and as a new
      # entry: one value, the whole record as it was before, or a deleted record.
      class PutBack
        # @param batch [Store::Batch, nil] the greater change that it is a part of
        def initialize(workspace, batch: nil)
          @workspace = workspace
          @batch = batch
          @names = Store::PresentNames.new(workspace.revision_id)
        end

        # @param entry [Integer]
        # @param field [String, nil] id of the field; nil for the whole record
        # @return [Array(Core::Design::Table, Services::SaveResult)]
        # @raise [Store::NotFound, Core::Invalid, Services::NotAllowed]
        def call(entry:, field: nil)
          @workspace.write do
            entry = Store::Entry.find_by(id: entry) or
              raise Store::NotFound, Core::Messages["history.put_back.there_is_no_such_entry"]
            @table = @workspace.project.tables.find { |table| table.id == entry.table_id } or
              Core::Invalid.because(Core::Messages["history.put_back.its_table_is_no_longer_there"])
            Services::NotAllowed.unless_may(@workspace.person, @table, :edit)
            [@table, (entry.action == "delete") ? restore(entry) : put_back(entry, field)]
          end
        end

        private

        def restore(entry)
          if Store::RecordTable.new(@table).find(entry.record_id)
            Core::Invalid.because(Core::Messages["history.put_back.record_is_there_already"])
          end

          typed =
            entry
              .field_changes
              .filter_map do |change|
                (design = field_of(change)) && !@table.worked_out?(design.key) &&
                  [design.key, dumped(design, before(entry, change))]
              end
              .to_h
          blank = @table.fields.reject { |design| @table.worked_out?(design.key) }.to_h { |design| [design.key, nil] }
          Records::SaveRecord.new(@workspace, channel: "put back", batch: @batch).call(
            table: @table.key,
            id: entry.record_id,
            typed: blank.merge(typed),
            restoring_values: true,
            restores: true
          )
        end

        def put_back(entry, field)
          stored = Store::RecordTable.new(@table).find(entry.record_id) or
            Core::Invalid.because(Core::Messages["history.put_back.record_was_deleted"])
          earlier =
            if field
              value_before(entry, field)
            else
              values_before(entry).select { |key, _| @workspace.visibility.field?(@table.field(key)) }
            end
          typed =
            earlier
              .reject { |key, value| stored[key] == value }
              .to_h { |key, value| [key, dumped(@table.field(key), value)] }
          if typed.empty?
            Core::Invalid.because(
              field ? Core::Messages[
                "history.put_back.it_has_value_already"
              ] : Core::Messages["history.put_back.record_is_as_it_was_then_already"]
            )
          end

          Records::SaveRecord.new(@workspace, channel: "put back", batch: @batch).call(
            table: @table.key,
            id: entry.record_id,
            typed: typed,
            restoring_values: true
          )
        end

        def value_before(entry, id)
          change = entry.field_changes.find { |each| each.field_id == id } or
            raise Store::NotFound, Core::Messages["history.put_back.entry_says_nothing_of_such_field"]
          unless @workspace.visibility.field?(@table.fields.find { |each| each.id == id })
            raise Store::NotFound, Core::Messages["history.put_back.entry_says_nothing_of_such_field"]
          end

          design = field_of(change) or
            Core::Invalid.because(
              Core::Messages["history.put_back.is_no_longer_there_or_of_another", field_label: change.field_label]
            )
          if @table.rule_owned?(design.key)
            Core::Invalid.because(
              Core::Messages["history.put_back.is_given_its_values_by_rule", design: design.label]
            )
          end

          {design.key => before(entry, change)}
        end

        # All that this entry and those after it changed, as it was before.
        def values_before(entry)
          later =
            Store::Entry
              .where(table_id: @table.id, record_id: entry.record_id)
              .where("id >= ?", entry.id)
              .order(id: :desc)
          if later.any? { |each| each.action == "create" }
            Core::Invalid.because(Core::Messages["history.put_back.before_record_was_not_there"])
          end

          later.each_with_object({}) do |each, values|
            each.field_changes.reverse_each do |change|
              (design = field_of(change)) && !@table.rule_owned?(design.key) && values[design.key] =
                                                                                  before(each, change)
            end
          end
        end

        def before(entry, change) = @names.values(entry, change).first

        def field_of(change) = @table.fields.find { |field| field.id == change.field_id && field.type == change.type }

        def dumped(field, value) = value.nil? ? nil : field.values.dump(value)
      end
    end
  end
end
