# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A table's design made ready to run: its rules compiled, by stage, in the
      # order in which they act. Compiled once for each revision of the design.
      class Plan
        # @return [Design::Table]
        attr_reader :table
        # @return [Conventions] how the firm writes
        attr_reader :conventions

        # @param table [Design::Table] from a checked project
        # @param conventions [Conventions]
        def initialize(table, conventions)
          @table = table
          @conventions = conventions
          @rules = Stages::ALL.to_h do |stage|
            rules = table.rules.select { |rule| rule.stage == stage.key }
            [stage.key, ordered(rules).map { |rule| rule.compile(table) }.freeze]
          end.freeze
          freeze
        end

        # @param stage [String]
        # @return [Array<#apply>]
        def rules_at(stage) = @rules.fetch(stage)

        private

        # Rules that set fields run in the order of what they read, the others as
        # they are listed.
        def ordered(rules)
          writing, other = rules.partition { |rule| rule.writes.any? }
          Analysis::Order.new(writing, table).sorted + other
        end
      end
    end
  end
end
