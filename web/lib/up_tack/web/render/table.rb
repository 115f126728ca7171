# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A table with its fields and rules.
      class Table
        def initialize(workspace)
          @workspace = workspace
          @seen = workspace.visibility
        end

        # @return [Hash] for the overview
        def line(table)
          {
            **name(table),
            may: may(table),
            fields: @seen.fields(table).map(&:label),
            rules: table.rules.length,
            proofs: table.proofs.length,
            forms: table.forms.map { |form| {id: form.id, name: form.name} }
          }
        end

        # @return [Hash] for the board
        def full(table)
          {
            id: table.id,
            **name(table),
            aliases: table.aliases,
            title: table.title,
            title_field: table.title_field&.key,
            review: table.review,
            log: table.log,
            access: table.access || {},
            may: may(table),
            feeds: {
              calendars: UseCases::Exports::Calendar.fields(table, @seen).map(&:key),
              contacts: UseCases::Exports::Contacts.of?(table, @seen)
            },
            filters:
              table.filters.select { |filter| @seen.references?(filter.compiled(table).references) }.map(&:attributes),
            fields: @seen.fields(table).map { |field| self.field(field, table) },
            stages: Core::Stages::ALL.map { |stage| self.stage(stage) },
            rules: table.rules.select { |rule| @seen.rule?(rule, table) }.map { |rule| self.rule(rule, table) },
            forms:
              [Core::Design::Form.usual(table), *table.forms].map do |form|
                Form.render(form, table, @seen, @workspace.project)
              end,
            rule_kinds: builder? ? RuleKind.all : [],
            notices: builder? ? NoticeOfRules.all(table.notices.all, table, @workspace) : []
          }
        end

        private

        def may(table) = {edit: @seen.table?(table, :edit), delete: @seen.table?(table, :delete)}

        def name(table)
          {
            key: table.key,
            label: table.label,
            one: table.record_name,
            note: table.note,
            sentence: Core::Design::Descriptions.table(table) { |other| @seen.table?(other) },
            records: UseCases::Records::CountRecords.call(table)
          }
        end

        def field(field, table)
          {
            id: field.id,
            key: field.key,
            aliases: field.aliases,
            label: field.label,
            type: field.type,
            type_label: Names.type_label(field, @workspace.project),
            kind: field.kind,
            editor: field.values.editor,
            decimals: field.decimals,
            choices: field.choices,
            retired: field.retired,
            list: field.list,
            format: field.format || {},
            note: field.note,
            mask: mask(table, field),
            target: field.target,
            on_delete: field.on_delete,
            reverse: field.reverse,
            kinds: Core::Rules.all.filter_map { |name, kind| name if kind.suits?(field, table) },
            calculated: table.calculation(field.key)&.keeping,
            kept: table.kept?(field.key),
            given: table.rule_owned?(field.key),
            sentence: @seen.sentence(field, table),
            access: field.access || {},
            may_edit: @seen.table?(table, :edit) && @seen.field?(field, :edit)
          }
        end

        # What a browser needs to follow the field's mask, nil where there is none.
        def mask(table, field)
          rule = table.rules.find { |each| each.masks? && each.field == field.key }
          rule && Core::Masks::ClientMask.compiled(rule.mask)
        end

        def stage(stage)
          kinds = Core::Rules.all.values.select { |kind| kind.stage == stage.key }.map(&:kind)
          {key: stage.key, label: stage.label, aim: stage.aim, kinds: kinds}
        end

        def builder? = @workspace.person.role == "builder"

        def notice(rule, table)
          return UseCases::Numbers::Counts.new(table, rule).warning if rule.numbers?

          if builder?
            said = Core::Linting::FixedTexts.new(rule, table).all + table.notices.about(rule).map(&:message)
            said.empty? ? nil : said.join(" ")
          end
        end

        # What makes a calculated field worked out on reading, in words.
        def fleeting(rule, table)
          rule.calculates? ? @workspace.project.upkeep.fleeting(table.key, rule.field) : []
        end

        # A rule that reads what is written later acts there.
        def sentence(rule, table)
          last = table.neighbours.placement(table).last_stage(rule)
          return rule.sentence(table) if rule.stages.include?(last)

          stage = Core::Stages::ALL.find { |each| each.key == last }.label
          Core::Messages["web.table.it_acts_at_once_what_it_reads", rule: rule.sentence(table), stage: stage]
        end

        def rule(rule, table)
          attributes = rule.attributes
          {
            id: rule.id,
            kind: rule.kind,
            stage: rule.stage,
            stages: rule.stages,
            field: rule.field,
            fields: rule.fields(table),
            tack: rule.tack(table),
            sentence: sentence(rule, table),
            cases: Cases.of(rule.sentence_with_rows(table), table),
            name: rule.name,
            note: rule.note,
            value: attributes["value"],
            formula: attributes["formula"],
            message: attributes["message"],
            keeping: attributes["keeping"],
            fleeting: fleeting(rule, table),
            parts: attributes,
            lets_old: rule.lets_old?,
            warning: rule.warning?,
            refuses_new: (rule.validates? || rule.masks?) && !rule.needs_stored_record?,
            notice: notice(rule, table),
            usual_message: (rule.sentence(table) if rule.class.part_keys.include?("message"))
          }
        end
      end
    end
  end
end
