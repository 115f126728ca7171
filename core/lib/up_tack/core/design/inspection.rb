# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Finds everything in a project that keeps it from being used.
      class Inspection
        MOST_FIELDS = 400
        MOST_CHOICES = 1_000
        MOST_DECIMALS = 10

        # @param project [Project]
        def initialize(project)
          @project = project
        end

        # @return [Array<Problem>]
        def problems
          doubles(@project.tables, "table") + @project.tables.flat_map { |table| of_table(table) }
        end

        private

        def of_table(table)
          found = of_name(table)
          found << problem("one", "What one record is called is a short text.") if table.one && Names.label_problem(table.one)
          found << problem("fields", "A table has at most #{MOST_FIELDS} fields.") if table.fields.length > MOST_FIELDS
          found += doubles(table.fields, "field") + table.fields.flat_map { |field| of_name(field) + of_field(field) }
          return found if found.any?

          found = table.rules.flat_map { |rule| of_rule(rule, table).each { |each| each.rule ||= rule.id } }
          found.any? ? found.uniq(&:message) : circles(table)
        end

        def of_rule(rule, table)
          shape = rule.shape_problems
          shape.any? ? shape : rule.problems(table)
        end

        def of_name(named)
          label = Names.label_problem(named.label)
          key = Names.key_problem(named.key)
          note = problem("note", "A note is a text.") unless named.note.nil? || named.note.is_a?(String)
          [label && problem("label", label), key && problem("key", key), note].compact
        end

        def of_field(field)
          return [problem("type", "There is no field type “#{field.type}”.")] unless Values.all.key?(field.type)

          case field.type
          when "choice" then of_choices(field)
          when "number" then of_decimals(field)
          else []
          end
        end

        def of_choices(field)
          return [problem("choices", "The choices are a list of texts.")] unless field.choices.is_a?(Array)

          folded = field.choices.map { |choice| choice.is_a?(String) ? choice.downcase(:fold) : nil }
          return [problem("choices", "#{field.label} needs at least one choice.")] if folded.empty?
          return [problem("choices", "A field has at most #{MOST_CHOICES} choices.")] if folded.length > MOST_CHOICES
          if field.choices.any? { |choice| Names.label_problem(choice) || choice != choice.strip }
            return [problem("choices", "Each choice is a short text of up to #{Names::LONGEST_LABEL} characters, without spaces at its ends.")]
          end

          double = field.choices.find { |choice| folded.count(choice.downcase(:fold)) > 1 }
          double ? [problem("choices", "“#{double}” stands twice among the choices.")] : []
        end

        def of_decimals(field)
          return [] if field.decimals.nil? || (field.decimals.is_a?(Integer) && field.decimals.between?(0, MOST_DECIMALS))

          [problem("decimals", "A number field takes 0 to #{MOST_DECIMALS} decimals.")]
        end

        def doubles(named, what)
          %i[label key].flat_map do |part|
            groups = named.group_by { |each| each[part].to_s.downcase(:fold) }.values.select { |group| group.length > 1 }
            groups.map { |group| problem(part.to_s, "There is already a #{what} “#{group.first[part]}”.") }
          end.uniq(&:message).first(1)
        end

        def circles(table)
          circle = Analysis::Order.new(table.rules.select { |rule| rule.writes.any? }, table).circle or return []

          labels = circle.map { |rule| table.field(rule.writes.first).label }
          message = if labels.one?
            "The value of #{labels.first} would wait for itself: the formula reads the field that it sets."
          else
            "These values would wait for one another in a circle: #{[*labels, labels.first].join(" → ")}."
          end
          [Problem.new(part: "formula", message: message, rule: circle.first.id)]
        end

        def problem(part, message) = Problem.new(part: part, message: message)
      end
    end
  end
end
