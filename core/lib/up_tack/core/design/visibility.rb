# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The one answer to what people of a role may see of a project. A field is visible if its own access
      # allows it and, for a link, that of the table to which it leads; what names something hidden is
      # hidden too.
      class Visibility
        # What is said in the place of a message that names, or shows, what is hidden.
        SILENT = Messages["design.visibility.hidden_rule"]

        # @param project [Project]
        # @param role [String, nil] nil for a program of the firm's own, which sees everything
        def initialize(project, role)
          @project = project
          @role = role
        end

        # @return [Boolean] whether nothing is hidden
        def all? = @role.nil? || @role == "builder"

        # @param table [Table, nil]
        # @return [Boolean] whether they may do something with a table's records
        def table?(table, what = :see) = table.nil? || table.allows?(@role, what)

        # @param field [Field, nil]
        # @return [Boolean] whether they may do something with a field's values
        def field?(field, what = :see) = field.nil? || field.allows?(@role, what)

        # @return [Array<Field>]
        def fields(table) = all? ? table.fields : table.fields.select { |field| field?(field) }

        # @return [Boolean] whether all that a rule names may be seen
        def rule?(rule, table) =
          all? || (references?(rule.references(table)) && rule.fields(table).all? { |key| field?(table.field(key)) })

        # @param references [Array<Expression::Reference>]
        # @return [Boolean] whether all that is named may be seen
        def references?(references)
          references.all? do |each|
            table = @project.table(each.table)
            table.nil? || (table?(table) && (each.key.nil? || field?(table.field(each.key))))
          end
        end

        # @return [Expression::Scope] of a table, in which what is hidden is not there
        def scope(table)
          return table.scope if all?

          table.scope.only do |key, field|
            (found = @project.table(key)) && table?(found) && (field.nil? || field?(found.field(field)))
          end
        end

        # @param refusal [Save::Refusal]
        # @param table [Table] of the record that is refused
        # @return [Save::Refusal] as it may be told
        def refusal(refusal, table)
          return refusal if all?

          rule = refusal.rule && table.rule(refusal.rule)
          hidden = [refusal.field, *refusal.fields].compact.reject { |key| field?(table.field(key)) }
          return refusal if hidden.empty? && (rule.nil? || rule?(rule, table))

          shown = refusal.fields - hidden
          refusal.class.new(
            **refusal.to_h,
            field: hidden.include?(refusal.field) ? shown.first || fields(table).first&.key.to_s : refusal.field,
            fields: shown,
            message: SILENT
          )
        end

        # @return [String] what Up Tack says of a field, of nothing that is hidden
        def sentence(field, table)
          @rules ||= {}
          Descriptions.field(field, table, @rules[table.key] ||= table.rules.select { |rule| rule?(rule, table) })
        end
      end
    end
  end
end
