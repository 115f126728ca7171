# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Finds rules of one table that wait for one another in a circle, so that none of them could
      # ever act.
      class CircleCheck
        # @param labels [Array<String>] of the fields in the circle
        # @param table [Table]
        # @param more [Hash] parts of the Problem besides
        # @return [Core::Problem]
        def self.problem(labels, table, hint: nil, **more)
          message =
            if labels.one?
              Messages["design.circle_check.value_of_would_wait_for_itself", source: labels.first]
            else
              Messages[
                "design.circle_check.these_values_would_wait_for_one_another",
                circle: [*labels, labels.first].join(" → ")
              ]
            end
          Problem.new(
            part: "formula",
            message: [message, hint].compact.join(" "),
            place: "tables › #{table.key}",
            **more
          )
        end

        # @param table [Table] whose rules are sound, each by itself
        def initialize(table)
          @table = table
        end

        # @return [Array<Core::Problem>]
        def problems
          rules = @table.rules
          found = []
          while (circle = Analysis::Placement.new(@table, rules).circle)
            found << describe(circle, Analysis::Placement.new(@table, rules))
            rules = rules.reject { |rule| circle.rules.include?(rule.id) }
          end
          found
        end

        private

        def describe(circle, placement)
          labels = circle.acts.map { |act| @table.field(act.rule.field).label }
          CircleCheck.problem(
            labels,
            @table,
            hint: hint(circle),
            tolerable: unseen_before?(circle, placement),
            stuck: circle.rules
          )
        end

        # Only what acts on records that exist has something before this save.
        def hint(circle)
          act = circle.acts.find { |each| each.rule.reads_before? } or return
          read =
            (Analysis::TopologicalSort.through(act.rule.awaits(@table), [],
              @table) & circle.acts.flat_map(&:writes)).first or
            return
          Messages["design.circle_check.if_value_before_save_is_meant_write", read: read]
        end

        # Earlier versions passed over circles through log lines, and through what acts later than its stage.
        def unseen_before?(circle, placement)
          late = placement.late
          circle.acts.any? do |act|
            act.rule.adds_lines? ||
              (!act.rule.follows? && late.any? { |each| each.equal?(act) || each.rule.equal?(act.rule) })
          end
        end
      end
    end
  end
end
