# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Puts rules that set fields into the order in which they must run: a rule
      # comes after those that write what it reads. Otherwise they keep the
      # order in which they are listed, so it never depends on chance.
      class Order
        # @param rules [Array<Rules::Rule>] each with reads and writes
        # @param table [Design::Table]
        def initialize(rules, table)
          @rules = rules
          @waits_for = rules.to_h do |rule|
            reads = rule.reads(table)
            [rule, rules.select { |other| (other.writes & reads).any? }]
          end
        end

        # @return [Array<Rules::Rule>] sorted; members of a circle are left out
        def sorted
          @sorted ||= begin
            done = []
            while (ready = (@rules - done).find { |rule| (@waits_for[rule] - done).empty? })
              done << ready
            end
            done
          end
        end

        # @return [Array<Rules::Rule>, nil] the members of a circle, each waiting
        #   for the next and the last for the first
        def circle
          stuck = @rules - sorted
          return if stuck.empty?

          path = [stuck.first]
          until path[0...-1].include?(path.last)
            path << (@waits_for[path.last] & stuck).first
          end
          path[path.index(path.last)...-1]
        end
      end
    end
  end
end
