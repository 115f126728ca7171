# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the checker for names: fields, paths along links, and what is
      # told when a name leads nowhere.
      module CheckedNames
        # Words of other languages, with the one that is meant here.
        FOREIGN_WORDS = {
          "null" => "blank",
          "nil" => "blank",
          "empty" => "blank",
          "true" => "yes",
          "false" => "no"
        }.freeze

        # A place for a problem, where it is not that of a whole node.
        Place = Struct.new(:from, :to)

        def field(node)
          scope = node.outside ? outside(node) : @scope
          return :broken unless scope

          entry = scope[node.key] or return problem(node, unknown_field(node.key, scope))
          @momentary |= [Checker::MOMENTARY[:before]] if node.before
          refer(node, scope, entry, steps_to(node))
          entry.type
        end

        def path(node)
          scope, steps = linked(node.owner)
          return :broken unless scope

          entry = (node.key == Scope::NUMBER.key) ? Scope::NUMBER : scope[node.key]
          return problem(Place.new(node.key_from, node.to), unknown_field(node.key, scope)) unless entry

          refer(node, scope, entry, steps)
          entry.type
        end

        # What to do with a link where a value is wanted.
        # @return [String]
        def link_mistake(node)
          scope = target_of(node)
          return Messages["expression.checked_names.is_link"] unless scope

          name = spelled(node)
          example = scope.example
          "`#{name}` is a link to #{scope.label}; choose one of its " \
            "fields#{example ? ", such as `#{name}.#{example.key}`." : "."}"
        end

        private

        def outside(node)
          return @scope.outer if @scope.outer

          problem(node, Messages["expression.checked_names.means_record_around_linked_ones", node: node.key])
          nil
        end

        # What stands after `this.` is read from the record around the one at hand.
        def steps_to(node) = node.outside ? @outer_steps : @steps

        # @return [Array(Scope, Array<Step>), nil] the table that a link leads to, and how
        def linked(owner)
          type = owner.accept(self)
          return if type == :broken

          scope = target_of(owner)
          unless scope
            problem(owner,
              Messages["expression.checked_names.is_not_link", path: spelled(owner), type: Values::Types.phrase(type)])
            return
          end
          last = references.last
          [scope, last.steps + [Step.new(kind: :link, table: last.table, key: last.key, target: scope.key)]]
        end

        def spelled(node)
          case node
          when Nodes::Path then "#{spelled(node.owner)}.#{node.key}"
          when Nodes::Field then "#{"old." if node.before}#{"this." if node.outside}#{node.key}"
          else "this"
          end
        end

        def refer(node, scope, entry, steps)
          before = node.is_a?(Nodes::Field) && node.before
          unless entry.equal?(Scope::NUMBER)
            references << Reference.new(
              table: scope.key,
              key: entry.key,
              steps: steps,
              before: before,
              from: node.key_from,
              to: node.to
            )
          end
        end

        def unknown_field(key, scope)
          near = FOREIGN_WORDS[key]
          meant = near ? nil : meant_by(key, scope)
          return meant if meant

          near ||= scope.nearest(key)&.key
          if near
            return (
              Messages[
                "expression.checked_names.no_field_but_one_alike",
                key: key,
                in_table: in_table(scope),
                near: near
              ]
            )
          end
          return Messages["expression.checked_names.no_field_perhaps_a_text", key: key] if scope.entries.empty?
          if scope.reverses.any? { |each| each.scope.key == key }
            return Messages["expression.checked_names.are_many_records", key: key]
          end

          along = scope.entries.values.find { |entry| entry.link? && entry.target.call[key] }
          Messages[
            "expression.checked_names.no_field",
            key: key,
            in_table: in_table(scope),
            elsewhere:
              (
                if along
                  Messages[
                    "expression.checked_names.elsewhere",
                    table: along.target.call.label,
                    link: along.key,
                    key: key
                  ]
                end
              )
          ]
        end

        # A name that is something else: a choice, a field's label, or a function without its brackets.
        def meant_by(key, scope)
          entry = scope.entries.values.find { |each| each.label.downcase == key }
          return Messages["expression.all.is_called_in_formulas", label: entry.label, key: entry.key] if entry

          entry, choice =
            scope
              .entries
              .values
              .lazy
              .flat_map { |each| (each.choices || []).map { |text| [each, text] } }
              .find { |_, text| text.downcase == key }
          return Meant.quoting(choice, entry) if choice

          function = Functions[key] or return
          needed = function.parameters.reject(&:optional)
          if needed.empty?
            Messages["expression.checked_names.is_function_without_arguments", key: key]
          else
            Messages["expression.checked_names.is_function", key: key, needed: needed.map(&:name).join(" and ")]
          end
        end

        def in_table(scope) =
          ((scope.equal?(@scope) && @scope.outer.nil?) || scope.label.nil?) ? "" : " in #{scope.label}"
      end
    end
  end
end
