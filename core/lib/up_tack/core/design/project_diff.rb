# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What is different between two states of a design, in words: tables, fields,
      # rules, filters and lists that were added, changed or taken away.
      class ProjectDiff
        # One difference.
        # what:: "table", "field", "rule", "filter", "form", "proof" or "list"; id:: of it
        # place:: where it is, such as "Tag of Pieces"
        # before, after:: in sentences; nil where it was not, or is no more, there
        Difference = Struct.new(:what, :id, :place, :table, :before, :after, keyword_init: true)

        # @param from [Project, nil]
        # @param to [Project]
        def initialize(from, to)
          @from = from
          @to = to
        end

        # @return [Array<Difference>]
        def differences
          compared("list", lists(@from), lists(@to)) + compared("table", tables(@from), tables(@to)) +
            parts("field") + parts("rule") + parts("filter") + parts("form") + parts("proof")
        end

        private

        # @param before [Hash{String=>Array(String, String, String)}] place, table id and words by id
        def compared(what, before, after)
          (before.keys | after.keys).filter_map do |id|
            next if before[id]&.last == after[id]&.last

            place, table, = after[id] || before[id]
            Difference.new(
              what: what,
              id: id,
              place: place,
              table: table,
              before: before[id]&.last,
              after: after[id]&.last
            )
          end
        end

        def parts(what) = compared(what, inner(@from, what), inner(@to, what))

        def lists(project) = (project&.lists || []).to_h { |list| [list.id, [list.name, nil, list_words(list)]] }

        def list_words(list)
          return list.values.join(", ") if list.retired.empty?

          Wording["%{choices}; retired: %{retired}", choices: list.values.join(", "), retired: list.retired.join(", ")]
        end

        def tables(project) =
          (project&.tables || []).to_h { |table| [table.id, [table.label, table.id, table_words(table)]] }

        def inner(project, what)
          (project&.tables || []).flat_map { |table| send("#{what}s_of", table) }.to_h
        end

        def fields_of(table) =
          table.fields.map { |field|
            [field.id,
              [Wording["%{field} of %{table}", field: field.label, table: table.label], table.id, field_words(field)]]
          }

        def rules_of(table) =
          table.rules.map do |rule|
            [rule.id,
              [Wording["%{field} of %{table}", field: table.field(rule.field).label, table: table.label], table.id,
                rule_words(rule, table)]]
          end

        def filters_of(table) =
          table.filters.map do |filter|
            [
              filter.id,
              [
                Wording["%{filter} in %{table}", filter: filter.name, table: table.label],
                table.id,
                [filter.formula, filter.sort, filter.columns && "columns"].compact.reject(&:empty?).join("; ")
              ]
            ]
          end

        def forms_of(table) =
          table.forms.map do |form|
            [form.id,
              [Wording["Form %{form} of %{table}", form: form.name, table: table.label], table.id,
                form_words(form, table)]]
          end

        def proofs_of(table) =
          table.proofs.map do |proof|
            [proof.id,
              [Wording["Proof %{proof} of %{table}", proof: proof.name, table: table.label], table.id,
                proof_words(proof, table)]]
          end

        def proof_words(proof, table)
          telling = ExpectationFormatter.new(table, Ports::NoRecords)
          script = proof.script
          records =
            (script["records"] || {}).map do |key, all|
              "#{key} #{all.map { |id, values| "#{id} (#{words_for(values)})" }.join(", ")}"
            end
          person = script["person"]&.values&.join(", ")
          acts =
            (script["acts"] || []).map do |act|
              words_for(act.except("do").merge(act["values"] || {}).except("values")).then do |with|
                [act["do"].tr("_", " "), with].reject(&:empty?).join(" ")
              end
            end
          results = proof.expectations.map { |each| telling.format(each) }.join(", ")
          [
            proof.name,
            proof.group,
            proof.note,
            Wording["expects that %{results}", results: results],
            Wording["%{value}, as %{person}", value: script["at"], person: person],
            acts.join("; "),
            *records
          ].compact.join(" · ")
        end

        def form_words(form, table)
          sections =
            form.sections.map do |section|
              [
                section["title"],
                (section["items"] || []).map { |item| item_words(item, table) }.join(", ")
              ].compact.join(": ")
            end
          more =
            form
              .attributes
              .slice("order", "jumps", "skip_filled", "buttons", "note")
              .reject { |_, value| value == [] }
              .map { |part, value| "#{part.tr("_", " ")}: #{words_for(value)}" }
          [form.name, *sections, *more].join(" · ")
        end

        def item_words(item, table)
          what = table.field(item["field"] || item["panel"])&.label || item["label"] || "lines"
          rest = item.except("field", "panel", "lines", "width").reject { |_, value| value.nil? || value == [] }
          rest.empty? ? what : "#{what} (#{rest.map { |part, value| "#{part} #{words_for(value)}" }.join(", ")})"
        end

        # What of a rule its sentence does not say stands behind it.
        def rule_words(rule, table)
          said =
            rule
              .attributes
              .slice(
                "name",
                "message",
                "note",
                "old",
                "severity",
                "by_hand",
                "follow",
                "pattern",
                "rows",
                "map",
                "otherwise"
              )
              .map do |part, value|
                said = (part == "rows") ? value.map { |row| row.join(" | ") }.join(" / ") : words_for(value)
                "#{part.tr("_", " ")}: #{said}"
              end
          [rule.sentence(table), *said].join(" · ")
        end

        def field_words(field)
          attributes = field.attributes.except("id", "key", "label", "type")
          type = field.values.label.downcase
          type = Wording["%{link} to %{table}", link: type, table: field.target] if field.link?
          [
            "#{field.label}: #{type}",
            *attributes.except("target").map { |part, value| "#{part.tr("_", " ")}: #{words_for(value)}" }
          ].join(" · ")
        end

        def table_words(table)
          own = table.attributes.except(*%w[id key label fields rules filters forms proofs log])
          [table.label, *own.map { |part, value| "#{part}: #{words_for(value)}" }, *log_words(table)].join(" · ")
        end

        def log_words(table)
          return [] unless table.log

          labels = table.log.values.first.filter_map { |id| table.fields.find { |field| field.id == id }&.label }
          [Wording["log: %{tr} %{join}", tr: table.log.keys.first.tr("_", " "), join: labels.join(", ")]]
        end

        def words_for(value)
          case value
          when Hash then value.map { |key, each| "#{key} #{words_for(each)}" }.join(", ")
          when Array then value.map { |each| words_for(each) }.join(", ")
          else value.to_s
          end
        end
      end
    end
  end
end
