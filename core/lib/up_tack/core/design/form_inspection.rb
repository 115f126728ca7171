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
          return "There are sections, each with a list of items." unless sound_sections?
          unless @form.sections.all? { |section|
                   (section["columns"] || 1).is_a?(Integer) && (section["columns"] || 1).between?(1, MOST_COLUMNS)
                 }
            return "A section has 1 to #{MOST_COLUMNS} columns."
          end
          return "A form has at most #{MOST_ITEMS} items." if @form.items.length > MOST_ITEMS
          return "Jumps are a list." unless @form.jumps.is_a?(Array) && @form.jumps.all?(Hash)
          unless [@form.order].compact.all? { |order| order.is_a?(Array) && order.all?(String) }
            return "The order of the cursor is a list of fields."
          end
          unless @form.buttons.is_a?(Array) && (@form.buttons - Form::BUTTONS).empty?
            return "There are the buttons #{Form::BUTTONS.join(", ")}."
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
            "Titles, labels and hints are short texts."
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

          [problem("name", "There is already a form “#{@form.name}”.")]
        end

        def of_fields
          keys = @form.field_keys
          gone = keys.find { |key| @table.field(key).nil? }
          return [problem("form", "#{@form.name}: there is no field `#{gone}` in #{@table.label}.")] if gone

          double = keys.tally.key(2)
          return [problem("form", "#{@table.field(double).label} stands twice on #{@form.name}.")] if double

          @form.field_items.flat_map { |item| of_states(item) + of_default(item) }
        end

        def of_states(item)
          states = item["states"] || []
          unless states.is_a?(Array) && states.all?(Hash)
            return [problem("form", "What a form says of a field's state is a list.")]
          end

          wrong = states.find { |state| !Rules.all.fetch("state").states.include?(state["state"]) }
          if wrong
            [problem("form", "A field can be `shown`, `enabled`, `required` or `read_only` while a condition holds.")]
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
              "#{@table.field(item["field"]).label} is given its values by a rule; a form can't begin it."
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
                "Something on #{@form.name} is neither a field, nor records that link here, nor details of a linked " \
                  "one."
              )
            end
          end
        end

        def of_lines(item)
          other, link = item["lines"].is_a?(Hash) ? item["lines"].values_at("table", "link") : nil
          table = @table.neighbours.tables[other]
          field = table&.field(link)
          unless field&.link? && field.target == @table.key
            return problem("form", "#{@form.name}: no records of that table link here.")
          end

          of_inner(item, table)
        end

        def of_panel(item)
          field = @table.field(item["panel"])
          return problem("form", "#{@form.name}: details come from a linked record; pick a link.") unless field&.link?

          of_inner(item, @table.neighbours.tables.fetch(field.target))
        end

        def of_inner(item, table)
          gone = Array(item["fields"]).find { |key| table.field(key).nil? }
          problem("form", "#{@form.name}: there is no field `#{gone}` in #{table.label}.") if gone
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
                "A jump leads from a field of the form to another one, to the first blank one or to the end."
              )
            end
            if places.uniq.one?
              next problem("form", "A jump after #{@table.field(places.first).label} leads back to itself.")
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
