# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # The record from which edges start: a made-up one that passes, with the records
        # that it links to. All scenes at the edges are this one, changed in one respect.
        class BaseRecord
          # Drawn before it is given up to find one that passes.
          TRIES = 12
          SEED = 20_261_123

          # @return [Hash{String=>Object}] values that are typed, by field key
          attr_reader :values
          # @return [Hash{String=>Hash{Integer=>Hash}}] values of other records, by table
          attr_reader :records
          # @return [Boolean] whether the rules let it pass
          attr_reader :sound

          # @param ground [Save::CompiledProject]
          # @param table [Design::Table]
          # @param records [Hash{String=>Hash{Integer=>Hash}}] some real ones that links can lead to
          # @param clock [Design::ScriptClock]
          # @param profiles [Hash{String=>Samples::Profile}] by table
          def initialize(ground, table, records:, clock:, profiles: {})
            @ground = ground
            @table = table
            @clock = clock
            @profiles = profiles
            @random = Random.new(SEED)
            @records = records.transform_values(&:dup)
            add_linked(table, 2)
            @context = nil
            find
          end

          # @return [Context] with the records, for formulas
          def context
            @context ||=
              begin
                world = RecordOverlay.new(@ground, records: @records)
                Context
                  .new(
                    clock: @clock,
                    person: Ports::Person.new(name: "Somebody", email: nil, role: "builder"),
                    records: world,
                    counters: Counters.new
                  )
                  .tap { |context| world.context = context }
              end
          end

          # @param table [Design::Table] another one
          # @return [Hash{String=>Object}] a made-up record of it that passes but for its link here
          def sample(table) = (@samples ||= {})[table.key] ||= accepted(table).first.compact.freeze

          # @param table [Design::Table] this one, or with a rule changed
          # @param old [Hash{String=>Object}] the record as it comes out
          # @return [Solver] for changes of this record
          def solver(table, old, **more) =
            Solver.new(table, context, old: old, samples: ->(other) { sample(other) }, **more)

          private

          # Where there is no real record to link to, one is made up.
          def add_linked(table, depth)
            table.fields.select(&:link?).each do |field|
              next if @records.fetch(field.target, {}).any? || depth.zero? || field.target == table.key

              target = @ground.project.table(field.target)
              add_linked(target, depth - 1)
              @context = nil
              (@records[field.target] ||= {})[1] = maker(target).values
            end
          end

          def maker(table)
            linked = table.fields.select(&:link?).to_h { |field| [field.key, @records.fetch(field.target, {}).keys] }
            Samples::RecordGenerator.new(
              table,
              context: context,
              profile: @profiles[table.key] || Samples::Profile.new(table, []),
              linked: linked,
              there: there(table),
              random: @random,
              full: true
            )
          end

          def there(table)
            table
              .rules
              .select(&:looks_up?)
              .to_h do |rule|
                attributes = rule.attributes
                [
                  rule.field,
                  @records
                    .fetch(attributes["target"], {})
                    .values
                    .filter_map { |values| values[attributes["target_field"]] }
                ]
              end
          end

          def find = (@values, @sound = accepted(@table))

          # @return [Array(Hash, Boolean)] values of a record, and whether the rules let it pass
          def accepted(table)
            maker = maker(table)
            values = maker.values
            TRIES.times do
              outcome =
                Save.call(
                  @ground.plan(table.key),
                  Save::Draft.new(typed: Samples::RecordGenerator.typed(table, values), stored: nil),
                  context
                )
              context.counters.drop
              return [values, true] if outcome.saved?

              values = maker.mend(values, outcome.refusals)
            end
            [values, false]
          end
        end
      end
    end
  end
end
