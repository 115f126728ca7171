# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Puts rules that set fields into the order in which they must run: a rule
      # comes after those that write what it reads. Otherwise they keep the
      # order in which they are listed, so it never depends on chance.
      class TopologicalSort
        # @param members [Array<Object>]
        # @yield [member] gives the members that it waits for
        # @return [TopologicalSort]
        def self.build(members, &waits_for)
          new(members.each_with_object({}.compare_by_identity) { |each, found| found[each] = waits_for.call(each) })
        end

        # @param rules [Array<Rules::Rule>] each with reads and writes
        # @param table [Design::Table]
        # @return [TopologicalSort]
        def self.of_rules(rules, table)
          build(rules) do |rule|
            reads = through(rule.reads(table), rules, table)
            rules.select { |other| (other.writes & reads).any? }
          end
        end

        # What is read through calculated fields whose rules are not among those to be
        # put in order: they are worked out at the moment when somebody reads them.
        def self.through(keys, rules, table, passed = [])
          keys.flat_map do |key|
            further = table.calculation(key)
            next [key] if further.nil? || further.once? || rules.include?(further) || passed.include?(key)

            [key, *through(further.reads(table) | further.formula(table).links, rules, table, [*passed, key])]
          end.uniq
        end

        # @param waits_for [Hash{Object=>Array<Object>}] members, told apart by
        #   identity, with those that they wait for
        def initialize(waits_for)
          @waits_for = waits_for
          @members = waits_for.keys
        end

        # @return [Array<Object>] sorted; members of a circle, and what waits for them, are left out
        def sorted
          @sorted ||= begin
            done = {}.compare_by_identity
            left = @members
            while (ready = left.find { |each| @waits_for[each].all? { |other| done.key?(other) } })
              done[ready] = true
              left = left.reject { |each| each.equal?(ready) }
            end
            done.keys
          end
        end

        # @return [Array<Object>, nil] the members of a circle, each waiting
        #   for the next and the last for the first
        def circle
          stuck = @members.reject { |each| sorted.any? { |other| other.equal?(each) } }
          return if stuck.empty?

          path = [stuck.first]
          until path[0...-1].any? { |each| each.equal?(path.last) }
            path << @waits_for[path.last].find { |other| stuck.any? { |each| each.equal?(other) } }
          end
          path[path.index { |each| each.equal?(path.last) }...-1]
        end
      end
    end
  end
end
