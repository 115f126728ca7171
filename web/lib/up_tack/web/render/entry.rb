# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Entries of the change log. Tables, fields and rules are named as they are
      # now; those that are gone, as they were called then.
      class Entry
        def initialize(workspace)
          @workspace = workspace
          @seen = workspace.visibility
          @tables = workspace.project.tables.to_h { |table| [table.id, table] }
        end

        # @param entries [Array<Store::Entry>]
        def all(entries)
          @set_back = UseCases::History::Entries.set_back(entries)
          entries.map { |entry| one(entry) }
        end

        private

        def one(entry)
          table = @tables[entry.table_id]
          return restore(entry) if entry.action == "restored"

          {
            id: entry.id,
            **Moment.render(entry.made_at, @workspace),
            person: entry.person_name,
            channel: entry.channel,
            action: entry.action,
            table: table&.key,
            table_label: table&.label || Core::Wording["a deleted table"],
            record: entry.record_id,
            title: entry.record_title.to_s,
            exists: !table.nil?,
            set_back: set_back?(entry),
            person_id: entry.person_id,
            batch: batch(entry),
            passed: passed(entry, table),
            followed: followed(entry),
            changes: entry.field_changes.filter_map { |change| self.change(change, table) }
          }
        end

        # A backup that took the place of all there was.
        def restore(entry)
          {
            id: entry.id,
            **Moment.render(entry.made_at, @workspace),
            person: entry.person_name,
            channel: entry.channel,
            action: entry.action,
            table: nil,
            table_label: Core::Wording["all tables"],
            record: 0,
            title: entry.record_title.to_s,
            exists: false,
            set_back: false,
            person_id: entry.person_id,
            batch: nil,
            passed: [],
            followed: [],
            changes: []
          }
        end

        # Whether the clock stood later at the entry before.
        def set_back?(entry) = @set_back.include?(entry.id)

        def batch(entry)
          found = entry.batch or return

          {id: found.id, summary: found.summary, records: found.records, undone: found.undone?}
        end

        def passed(entry, table)
          return [] unless entry.passed

          JSON.parse(entry.passed).map do |each|
            rule = table&.rule(each["rule"].to_s)
            visible = @seen.all? || (rule && @seen.rule?(rule, table))
            {"message" => visible ? each["message"] : Core::Design::Visibility::SILENT, "reason" => each["reason"]}
          end
        end

        # What followed elsewhere is told by labels.
        def followed(entry)
          return [] unless entry.followed

          JSON.parse(entry.followed).select do |each|
            table = @tables.each_value.find { |found| found.label == each["table"] }
            field = table&.fields&.find { |found| found.label == each["field"] }
            @seen.all? || (field && @seen.table?(table) && @seen.field?(field))
          end
        end

        def change(change, table)
          field = table&.fields&.find { |each| each.id == change.field_id }
          # Of a field that is gone nobody can say who might see it.
          return unless field ? @seen.field?(field) : @workspace.person.builder?

          rule = table&.rule(change.rule_id)
          before, after = change.texts((field if field&.type == change.type))
          {
            field: field&.label || change.field_label,
            id: change.field_id,
            key: field&.key,
            back: !field.nil? && field.type == change.type && !table.rule_owned?(field.key),
            before: before,
            after: after,
            rule: change.rule_id && sentence(rule, table, change.rule_id)
          }
        end

        # A form begins fields by rules of its own, whose ids are its own with the field's key.
        def sentence(rule, table, id)
          form = table && id.include?(".") && table.form(id.split(".").first)
          return Core::Wording["default of the form %{form}", form: form.name] if form
          return Core::Wording["by a deleted rule"] unless rule

          @seen.rule?(rule, table) ? rule.sentence(table) : Core::Wording["by a rule"]
        end
      end
    end
  end
end
