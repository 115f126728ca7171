# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the compiler for fields: of the record at hand, of linked ones,
      # as they are and as they were.
      module CompiledFields
        def field(node)
          key = node.key
          return stored(key, @scope[key]) if node.before

          scope = node.outside ? @scope.outer : @scope
          value = reading(key, scope[key])
          node.outside ? ->(evaluation) { value.call(evaluation.outer) } : value
        end

        def path(node)
          owner = compile(node.owner)
          target = target_of(node.owner)
          table = target.key
          key = node.key
          return number_of(owner, table) if key == Scope::NUMBER.key

          value = reading(key, target[key])
          lambda do |evaluation|
            id = owner.call(evaluation) or next
            found = evaluation.context.records.find(table, id) or next
            value.call(evaluation.linked(id, found))
          end
        end

        def changed(node)
          now = compile(node.field)
          before = stored(node.field.key, @scope[node.field.key])
          ->(evaluation) { now.call(evaluation) != before.call(evaluation) }
        end

        private

        # What reads a field of the record at hand. A field that is never kept is
        # worked out, unless the record brings its value along.
        def reading(key, entry)
          return ->(evaluation) { evaluation.values[key] } unless entry.computed

          lambda do |evaluation|
            evaluation.values.fetch(key) { entry.computed.call(evaluation) }
          end
        end

        # What reads a field as it was before this save.
        def stored(key, entry)
          return ->(evaluation) { evaluation.old[key] } unless entry.computed

          ->(evaluation) do
            evaluation.new? ? nil : evaluation.old.fetch(key) { entry.computed.call(evaluation.before) }
          end
        end

        def number_of(owner, table)
          lambda do |evaluation|
            id = owner.call(evaluation)
            id && evaluation.context.records.find(table, id) && BigDecimal(id)
          end
        end
      end
    end
  end
end
