# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Makes a record to try of a case that analysis found: where it speaks of a detail
      # of a linked record, one that is really there is picked, and what it is compared
      # with is moved along, so that the two stand to each other as in the case.
      class CaseToRecord
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        def initialize(workspace, table)
          @workspace = workspace
          @table = table
        end

        # @param example [Core::Conditions::OverlapAnalysis::Example]
        # @return [Hash{String=>Object}] values by field key, plain
        def find(example)
          example.linked.reduce(example.values) { |values, linked| values.merge(along(linked, values)) }
        end

        private

        def along(linked, values)
          target = @workspace.project.table(linked.table)
          return {} if linked.value.nil? || !target.kept?(linked.key)

          id, real = somebody(target, linked.key)
          id ? {linked.link => id}.merge(moved(linked, values, real)) : {}
        end

        # The first record that has the detail.
        def somebody(target, key)
          Store::RecordTable.new(target).each_batch(keys: [key]) do |batch|
            batch.each { |id, values| return [id, values[key]] unless values[key].nil? }
          end
          nil
        end

        def moved(linked, values, real)
          return {} unless real.is_a?(BigDecimal) || real.is_a?(Date)

          linked.beside.select { |key| values[key] }.to_h do |key|
            field = @table.field(key)
            [key, field.values.dump(real + (field.values.load(values[key]) - linked.value))]
          end
        end
      end
    end
  end
end
