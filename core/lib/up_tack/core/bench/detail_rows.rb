# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The records that are typed beneath the one at hand, as an order's lines: they see that
      # record as it is typed, its totals see them, and all are saved together or none.
      class DetailRows
        # Number of a record that has none yet; those beneath it follow.
        NEW = 2**61

        # table:: key; link:: key of the link to the record above; rows:: plain, with "id" of
        #   one that is there, "values" that are typed, and "gone" for one that is taken away
        Group = Struct.new(:table, :link, :rows)

        # @param ground [Save::CompiledProject]
        # @param world [RecordOverlay]
        def initialize(ground, world)
          @ground = ground
          @world = world
          @groups = {}
        end

        # Takes the rows of one group, instead of those that it had.
        def put(table, link, rows) = @groups[[table, link]] = Group.new(table, link, rows)

        def any? = @groups.values.any? { |group| group.rows.any? }
        def clear = @groups.clear

        # @param above [Integer] number of the record above, NEW for one that has none
        # @param context [Context]
        # @param live [Boolean]
        # @return [Array<Array<Save::Outcome, nil>>] by group and row, nil for one that is gone;
        #   the rows are in the world then
        def lay(above, context, live:)
          following = above
          @groups.values.map do |group|
            group.rows.map { |row| lay_row(group, row, above, context, live, row["id"] || (following += 1)) }
          end
        end

        # @return [Array<String>] keys of their tables, one for each group
        def tables = @groups.values.map(&:table)

        private

        def lay_row(group, row, above, context, live, id)
          if row["gone"]
            @world.delete(group.table, row["id"]) if row["id"]
            return
          end
          stored = row["id"] && @world.find(group.table, row["id"]) && @world.complete(group.table, row["id"])
          typed = (row["values"] || {}).except(group.link).merge(group.link => above)
          outcome =
            Save.call(
              @ground.plan(group.table),
              Save::Draft.new(typed: typed, stored: stored, id: stored && row["id"], live: live),
              context
            )
          @world.write(group.table, (live || stored) ? id : nil, outcome.values)
          outcome
        end
      end
    end
  end
end
