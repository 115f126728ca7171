# frozen_string_literal: true

module UpTack
  module Store
    class Query
      # A condition of the formula language as SQL, as far as the database can tell it:
      # kept fields of the record itself, compared with what is the same for every
      # record. Both languages know the same three truths, so that no case comes out
      # otherwise. A part that can't be said comes to nil.
      class Condition
        # What a formula reads of a record.
        OWN = [
          Core::Expression::Nodes::Field,
          Core::Expression::Nodes::Path,
          Core::Expression::Nodes::Aggregate,
          Core::Expression::Nodes::Changed,
          Core::Expression::Nodes::IsNew
        ].freeze
        NOTHING = "NULL"

        # @param table [Core::Design::Table]
        # @param context [Core::Context] gives the day and the person
        def initialize(table, context)
          @table = table
          @context = context
        end

        # @param node [Core::Expression::Nodes::Node] a condition
        # @return [Array(Array<String>, Boolean)] SQL of those of its parts joined by `and`
        #   that can be said, and whether that is all of them
        def split(node)
          said = parts(node).map { |part| part.accept(self) }
          [said.compact, said.none?(nil)]
        end

        def logic(node)
          left = node.left.accept(self) or return
          right = node.right.accept(self) or return
          "(#{left} #{node.word.upcase} #{right})"
        end

        def inversion(node) = node.operand.accept(self)&.then { |sql| "(NOT #{sql})" }

        def field(node) = kept(node)&.yes_no? ? "(#{Keys.name(kept(node))} = 1)" : nil

        def blank_test(node) = kept(node.value)&.then { |field| "(#{Keys.name(field)} IS NULL)" }

        def comparison(node)
          return turned(node) if fixed?(node.left) && !fixed?(node.right)
          return equal(node) if node.sign == "=" && fixed?(node.right)

          both(node.left, node.right) { |key, value| "(#{key} #{node.sign} #{value})" }
        end

        def range(node)
          low = both(node.value, node.low) { |key, value| "#{key} >= #{value}" } or return
          high = both(node.value, node.high) { |key, value| "#{key} <= #{value}" } or return
          "(#{low} AND #{high})"
        end

        def membership(node)
          options = node.options.map { |option| both(node.value, option) { |_, value| value } }
          options.include?(nil) ? nil : "(#{Keys.expression(kept(node.value))} IN (#{options.join(", ")}))"
        end

        def text_test(node)
          return unless (field = kept(node.text)) && Keys.folded?(field)

          both(node.text, node.part) do |key, value|
            next NOTHING if value == NOTHING

            length = fixed?(node.part) ? Core::Unicode.folded(constant(node.part)).length : "LENGTH(#{value})"
            {
              "contains" => "(INSTR(#{key}, #{value}) > 0)",
              "starts with" => "(SUBSTR(#{key}, 1, #{length}) = #{value})",
              "ends with" => "(SUBSTR(#{key}, -#{length}) = #{value})"
            }.fetch(node.relation)
          end
        end

        # What is left is for formulas.
        %i[literal aggregate fits person is_new negation arithmetic join conditional call changed path].each do |name|
          define_method(name) { |_| nil }
        end

        private

        def equal(node) =
          both(node.left, node.right) do |_, value|
            (value == NOTHING) ? NOTHING : Keys.equal(kept(node.left), constant(node.right))
          end

        def parts(node)
          return [node] unless node.is_a?(Core::Expression::Nodes::Logic) && node.word == "and"

          [node.left, node.right].flat_map { |side| parts(side) }
        end

        TURNED = {"<" => ">", "<=" => ">=", ">" => "<", ">=" => "<="}.freeze

        def turned(node) =
          both(node.right, node.left) { |key, value| "(#{key} #{TURNED.fetch(node.sign, node.sign)} #{value})" }

        # @yield [String, String] SQL of a field, and of what it is compared with
        def both(side, other)
          field = kept(side) or return
          return if field.link?

          if fixed?(other)
            value = constant(other)
            return yield(Keys.expression(field), NOTHING) if value.nil?

            return fitting?(field, value) ? yield(Keys.expression(field), Keys.value(value, field)) : nil
          end
          second = kept(other)
          return unless second && second.kind == field.kind && !second.link?

          yield(Keys.expression(field), Keys.expression(second))
        end

        # Numbers beyond what a column holds, and texts beside dates, are left to formulas.
        def fitting?(field, value)
          case field.kind
          when :number then value.is_a?(BigDecimal) && value.n_significant_digits <= Core::Numbers::KEPT_DIGITS
          when :text, :choice then value.is_a?(String)
          when :date then value.is_a?(Date) && !value.is_a?(DateTime) && value.year.between?(0, 9_999)
          when :yes_no then [true, false].include?(value)
          else false
          end
        end

        # @return [Core::Design::Field, nil] that of a node which reads one that is kept as it is
        def kept(node)
          return unless node.is_a?(Core::Expression::Nodes::Field) && !node.outside

          field = @table.field(node.key)
          field if field && field.bare.nil? && @table.kept?(field.key)
        end

        def fixed?(node)
          own = false
          node.walk { |each| own ||= OWN.any? { |kind| each.is_a?(kind) } }
          !own
        end

        def constant(node)
          value =
            Core::Expression::Compiler
              .new(@table.scope)
              .compile(node)
              .call(Core::Expression::Evaluation.new(values: {}, old: {}, context: @context, is_new: false))
          value.is_a?(BigDecimal) ? Core::Numbers.normalize(value) : value
        end
      end
    end
  end
end
