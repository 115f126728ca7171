# frozen_string_literal: true

require "digest"

module UpTack
  module Core
    module Linting
      # Notices that were found before, by all that they depend on: the conditions, the rules that have them, and
      # the fields with the rules that limit or calculate those. Working out the cases of all conditions takes longer
      # than anything else that follows a change of a rule, and a change touches few of them.
      class KnownCases
        # Groups of conditions that are remembered.
        MOST = 2_000

        @mutex = Mutex.new
        @known = {}

        class << self
          # @param key [String]
          # @yieldreturn [Array<RuleLinter::Notice>] found where they are not known
          # @return [Array<RuleLinter::Notice>]
          def fetch(key)
            @mutex.synchronize { return @known[key] if @known.key?(key) }
            found = yield.freeze
            @mutex.synchronize do
              @known.shift while @known.length >= MOST
              @known[key] = found
            end
          end

          # Forgets all of them.
          def clear = @mutex.synchronize { @known.clear }
        end

        # @param table [Design::Table]
        def initialize(table)
          @table = table
          @printer = Expression::Printer.new
        end

        # @param question [Array<String>] what is asked of the conditions, and of which field
        # @param rules [Array<Rules::Rule>] that have them, in the order in which they act
        # @param trees [Array<Expression::Nodes::Node, nil>]
        # @yieldreturn [Array<RuleLinter::Notice>]
        # @return [Array<RuleLinter::Notice>]
        def find(question, rules, trees, &block)
          depends = [
            Messages.language, @table.key, surroundings, question,
            rules.map { |rule| [rule.attributes, rule.tack(@table)] },
            trees.map { |tree| tree && @printer.print(tree) },
            concerned(trees.compact).map(&:attributes)
          ]
          self.class.fetch(Digest::SHA256.digest(depends.inspect), &block)
        end

        private

        # What any condition may name.
        def surroundings
          @surroundings ||=
            Digest::SHA256.hexdigest(
              [
                @table.neighbours.conventions.to_h,
                @table.neighbours.tolerant,
                @table.neighbours.tables.values.map do |table|
                  [table.key, table.label, table.one, table.title_field&.key, table.aliases,
                    table.fields.map { |field| [field.attributes, field.choices, field.retired] }]
                end
              ].inspect
            )
        end

        # @return [Array<Rules::Rule>] about the fields of which the conditions are made in the end
        def concerned(trees)
          keys = []
          ahead = trees.flat_map { |tree| named(tree) }
          while (key = ahead.shift)
            next if keys.include?(key)

            keys << key
            formula = @table.calculation(key)&.attributes&.fetch("formula", nil)
            ahead.concat(named(Expression.parse(formula))) if formula
          end
          @table.rules.select { |rule| keys.include?(rule.field) }
        end

        def named(tree)
          found = []
          tree.walk { |node| found << node.key if node.is_a?(Expression::Nodes::Field) }
          found
        end
      end
    end
  end
end
