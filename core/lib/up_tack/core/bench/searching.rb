# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The part of the solver that goes through values of one field where no straight line leads to
      # what is wanted: the length of a text, the month of a day, a number rounded.
      module Searching
        Nodes = Expression::Nodes
        # Texts up to this length.
        LONGEST = 80

        private

        # @param target [Integer] how the left is to stand to the right
        # @return [Array<Hash>] for each field that can do it the value next to the edge
        def searched(left, right, target, values)
          candidates(left, right).filter_map do |key, all|
            next unless may_change?(key)

            fitting = all.select { |value| order(left, right, with(values, {key => value})) == target }
            best =
              fitting.min_by do |value|
                [difference(left, right, with(values, {key => value}))&.abs || 0, distance(value, values[key])]
              end
            {key => best} unless best.nil?
          end
        end

        # The nearer to what is there, the less else is changed by it.
        def distance(value, now)
          case value
          when ::Date, ::Time, BigDecimal then now.instance_of?(value.class) ? (value - now).abs.to_f : 0
          else 0
          end
        end

        # Values worth trying, by key of the field; the same for every record.
        def candidates(left, right)
          asked = [left, right].map { |node| node.is_a?(Nodes::Literal) ? node.value : node.object_id }
          (@candidates ||= {})[asked] ||= found_for(left, right)
        end

        def found_for(left, right)
          leaves = Conditions::Leaves.new(@table)
          names = [left, right].flat_map { |node| leaves.find(node) }.uniq
          values = Conditions::Domains.new(@table, leaves, [[left, right]]).values
          names.each_with_object({}) do |name, found|
            field = leaves[name].field or next
            next if field.key != name || rule_owned?(name)

            found[name] = (field.textual? ? texts_of_all_lengths : []) | values[name].compact
          end
        rescue Expression::Invalid, KeyError, NoMethodError
          {}
        end

        def texts_of_all_lengths = (1..LONGEST).map { |length| ("abcdefghij" * 8)[0, length] }
      end
    end
  end
end
