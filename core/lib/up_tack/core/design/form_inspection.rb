# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Finds what keeps a form from being used.
      class FormInspection
        MOST_FORMS = 40
        MOST_ITEMS = 400
        MOST_COLUMNS = 4
        LONGEST_HINT = 300

        # @param form [Form]
        # @param table [Table]
        def initialize(form, table)
          @form = form
          @table = table
        end

        # @return [Array<Core::Problem>]
        def problems
          shape = shape_problem
          return [problem("form", shape)] if shape

          found = [*of_name, *of_fields, *of_others, *of_jumps]
          found.any? ? found : of_formulas
        end

        private

        def shape_problem
          return Messages["design.form_inspection.there_are_sections_each_with_list"] unless sound_sections?
          unless @form.sections.all? { |section|
                   (section["columns"] || 1).is_a?(Integer) && (section["columns"] || 1).between?(1, MOST_COLUMNS)
                 }
            return Messages["design.form_inspection.section_has_1_to_columns", most: MOST_COLUMNS]
          end
          if @form.items.length > MOST_ITEMS
            return Messages["design.form_inspection.form_has_at_most_items", most: MOST_ITEMS]
          end
          unless @form.jumps.is_a?(Array) && @form.jumps.all?(Hash)
            return Messages["design.form_inspection.jumps_are_list"]
          end
          unless [@form.order].compact.all? { |order| order.is_a?(Array) && order.all?(String) }
            return Messages["design.form_inspection.order_of_cursor_is_list_of_fields"]
          end
          unless @form.buttons.is_a?(Array) && (@form.buttons - Form::BUTTONS).empty?
            return Messages["design.form_inspection.there_are_buttons", buttons: Form::BUTTONS.join(", ")]
          end

          text_problem
        end

        def sound_sections?
          @form.sections.is_a?(Array) &&
            @form.sections.all? do |section|
              section.is_a?(Hash) && (items = section["items"] || []).is_a?(Array) && items.all?(Hash)
            end
        end

        def text_problem
          texts =
            @form.items.flat_map { |item| item.values_at("label", "hint") } +
            @form.sections.map { |section| section["title"] } + [@form.note]
          unless texts.compact.all? { |text| text.is_a?(String) && text.length <= LONGEST_HINT }
            Messages["design.form_inspection.titles_labels_and_hints_are_short_texts"]
          end
        end

        def of_name
          label = Names.label_problem(@form.name)
          return [problem("name", label)] if label
          unless @table.forms.count { |other|
                   Unicode.folded(other.name.to_s) == Unicode.folded(@form.name)
                 } > 1
            return []
          end

          [problem("name", Messages["design.form_inspection.there_is_already_form", form: @form.name])]
        end

        def of_fields
          keys = @form.field_keys
          gone = keys.find { |key| @table.field(key).nil? }
          if gone
            return [
              problem(
                "form",
                Messages["design.form_inspection.there_is_no_field", form: @form.name, gone: gone, table: @table.label]
              )
            ]
          end

          double = keys.tally.key(2)
          if double
            return [
              problem(
                "form",
                Messages["design.form_inspection.stands_twice_on", field: @table.field(double).label, form: @form.name]
              )
            ]
          end

          @form.field_items.flat_map { |item| of_states(item) + of_default(item) }
        end

        def of_states(item)
          states = item["states"] || []
          unless states.is_a?(Array) && states.all?(Hash)
            return [problem("form", Messages["design.form_inspection.what_form_says_of_fields_state"])]
          end

          wrong = states.find { |state| !Rules.all.fetch("state").states.include?(state["state"]) }
          if wrong
            [problem("form", Messages["common.field_can_be_shown_enabled_required"])]
          else
            []
          end
        end

        def of_default(item)
          begun = item["carry"] || item["default"].to_s.strip != ""
          return [] unless begun && @table.rule_owned?(item["field"])

          [
            problem(
              "form",
              Messages["design.form_inspection.is_given_its_values_by_rule", field: @table.field(item["field"]).label]
            )
          ]
        end

        def of_others
          @form.items.filter_map do |item|
            next of_lines(item) if item["lines"]
            next of_panel(item) if item["panel"]

            unless item["field"]
              problem(
                "form",
                Messages["design.form_inspection.something_on_is_neither_field_nor_records", form: @form.name]
              )
            end
          end
        end

        def of_lines(item)
          other, link = item["lines"].is_a?(Hash) ? item["lines"].values_at("table", "link") : nil
          table = @table.neighbours.tables[other]
          field = table&.field(link)
          unless field&.link? && field.target == @table.key
            return problem("form", Messages["design.form_inspection.no_records_of_table_link_here", form: @form.name])
          end

          of_inner(item, table)
        end

        def of_panel(item)
          field = @table.field(item["panel"])
          unless field&.link?
            return problem("form",
              Messages["design.form_inspection.details_come_from_linked_record", form: @form.name])
          end

          of_inner(item, @table.neighbours.tables.fetch(field.target))
        end

        def of_inner(item, table)
          gone = Array(item["fields"]).find { |key| table.field(key).nil? }
          if gone
            problem(
              "form",
              Messages["design.form_inspection.there_is_no_field", form: @form.name, gone: gone, table: table.label]
            )
          end
        end

        def of_jumps
          @form.jumps.filter_map do |jump|
            places = [jump["after"], jump["to"]]
            loose =
              places.find do |place|
                !(@form.field_keys.include?(place) || (place == places.last && Form::PLACES.include?(place)))
              end
            if loose
              next problem(
                "form",
                Messages["design.form_inspection.jump_leads_from_field_of_form"]
              )
            end
            if places.uniq.one?
              next(
                problem(
                  "form",
                  Messages[
                    "design.form_inspection.jump_after_leads_back_to_itself",
                    field: @table.field(places.first).label
                  ]
                )
              )
            end
          end
        end

        def of_formulas
          @form.formulas(@table).flat_map do |part, (text, expecting)|
            Expression.compile(text.to_s, @table.scope, expecting: expecting)
            []
          rescue Expression::Invalid => e
            e.problems.map { |each| Problem.new(part: part, message: each.message, from: each.from, to: each.to) }
          end
        end

        def problem(part, message) = Problem.new(part: part, message: message)
      end
    end
  end
end
