# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What feeds what, as far as the person's role lets them see it.
      class Map
        def initialize(workspace)
          @workspace = workspace
          @seen = workspace.visibility
          @tables = workspace.project.tables.select { |table| @seen.table?(table) }
        end

        # @return [Hash] fields, rules, edges; ids of nodes are "table.field" and the ids of rules
        def all
          fields = @tables.flat_map { |table| @seen.fields(table).map { |field| field(field, table) } }
          rules =
            @tables.flat_map do |table|
              table.rules.select { |rule| @seen.rule?(rule, table) }.map { |rule| rule(rule, table) }
            end
          known = (fields + rules).to_h { |node| [node[:id], true] }
          edges =
            Core::Analysis::RuleGraph
              .new(@workspace.project)
              .edges
              .map { |edge| {from: node(edge.from), to: node(edge.to), how: edge.how, before: edge.before} }
          {fields: fields, rules: rules, edges: edges.select { |edge| known[edge[:from]] && known[edge[:to]] }}
        end

        private

        def node(place) = place.is_a?(Array) ? place.join(".") : place
        def places = @places ||= Core::Analysis::RuleGraph.new(@workspace.project).places
        def builder? = @workspace.person.role == "builder"

        def field(field, table)
          {
            id: "#{table.key}.#{field.key}",
            table: table.key,
            table_label: table.label,
            key: field.key,
            label: field.label,
            type_label: Names.type_label(field, @workspace.project),
            note: field.note,
            sentence: @seen.sentence(field, table)
          }
        end

        def rule(rule, table)
          {
            id: rule.id,
            table: table.key,
            table_label: table.label,
            field: rule.field,
            stage: rule.stage,
            place: places[rule.id],
            tack: rule.tack(table),
            sentence: rule.sentence(table),
            cases: Cases.of(rule.sentence_with_rows(table), table),
            note: rule.note,
            notices:
              builder? ? table.notices.about(rule).map { |notice| {code: notice.code, message: notice.message} } : []
          }
        end
      end
    end
  end
end
