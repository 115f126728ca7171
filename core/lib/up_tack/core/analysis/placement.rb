# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # At which stage each rule of a table acts, and in which order. That is its own stage, unless
      # it reads what is only written later: then it acts there, after what it reads. So whatever
      # reads a number acts after it was given, and what reads a stamp after it was pressed.
      class Placement
        STAGES = Stages::ALL.map(&:key).freeze
        # The first stage in which rules write what nobody types.
        NUMBERING = STAGES.index("number")

        # One part of a rule: most have one, some act at two stages.
        # rule:: the Rule; own:: key of the stage for which it is written
        Act = Struct.new(:rule, :own) do
          # @return [Boolean] whether it is what the rule does at its own stage
          def main? = own == rule.stage

          # @return [Array<String>] keys of the fields that it sets
          def writes = (main? && rule.stages.length > 1) ? [] : rule.writes

          def index = STAGES.index(own)
        end

        # Rules that would have to act after one another in a circle.
        # acts:: those in it, each waiting for the next
        Circle = Struct.new(:acts) do
          # @return [Array<String>] ids of rules
          def rules = acts.map { |act| act.rule.id }.uniq
        end

        # @param table [Design::Table]
        # @param rules [Array<Rules::Rule>] those that act
        def initialize(table, rules = table.acting_rules)
          @table = table
          @rules = rules
          @acts =
            rules
              .flat_map { |rule| rule.stages.map { |stage| Act.new(rule, stage) } }
              .sort_by
              .with_index { |act, at| [act.index, at] }
          @places = {}.compare_by_identity
          @acts.each { |act| @places[act] = act.index }
          @writers =
            @acts.each_with_object(Hash.new { [] }) { |act, found| act.writes.each { |key| found[key] += [act] } }
          @read = {}.compare_by_identity
          put_off
        end

        # @return [Hash{String=>Array<Act>}] by key of the stage, in the order in which they act
        # @raise [KeyError] where a circle keeps some of them from acting
        def rules_by_stage
          STAGES.to_h do |stage|
            writing, other = at(stage).partition { |act| act.writes.any? }
            sorted = order(writing).sorted
            if sorted.length < writing.length
              raise KeyError, "rules #{(writing - sorted).map { |act| act.rule.id }.join(", ")} have no place"
            end

            [stage, sorted + other.sort_by.with_index { |act, index| [act.rule.reach(@table), index] }]
          end
        end

        # @return [Circle, nil]
        def circle
          # Those that always equal a formula are looked at with each stage, so that a circle through
          # them is told with all its members.
          following = @acts.select { |act| act.rule.follows? }
          STAGES.each do |stage|
            acts = order((at(stage).select { |act| act.writes.any? } + following).uniq(&:object_id)).circle
            return Circle.new(acts) if acts
          end
          nil
        end

        # @param act [Act]
        # @return [String] key of the stage at which it acts
        def stage_of(act) = STAGES[@places.fetch(act)]

        # @return [Array<Act>] those that act later than they are written for
        def late = @acts.select { |act| @places.fetch(act) > act.index }

        # @param rule [Rules::Rule]
        # @return [String] the last stage at which a part of it acts
        def last_stage(rule) =
          STAGES[
            @acts.select { |act| act.rule.equal?(rule) }.map { |act| @places.fetch(act) }.max ||
              STAGES.index(rule.stage)
          ]

        private

        def at(stage) = @acts.select { |act| stage_of(act) == stage }

        # Each is put off until it stands no earlier than what it reads; stages are few, so that ends.
        def put_off
          loop do
            moved = @acts.select do |act|
              place = awaited(act).map { |other| @places.fetch(other) }.max
              @places[act] = place if place && place > @places.fetch(act)
            end
            return if moved.empty?
          end
        end

        # @return [Array<Act>] those that write what an act reads, as far as it has to wait for them
        def awaited(act)
          writers_of(read_by(act)).select { |other| !other.equal?(act) && waits?(act, other) }
        end

        # What always equals its formula is worked out for whoever reads it earlier, unless it waits
        # for something itself. Masks and clean-ups are for what is typed, and for defaults. A default
        # waits only for what nobody could type before.
        def waits?(act, other)
          case act.own
          when "default" then @places.fetch(other) >= NUMBERING
          when "mask", "tidy" then other.own == "default"
          else !other.rule.follows? || @places.fetch(other) >= NUMBERING
          end
        end

        # Fills that set each other's fields do not wait for one another, see Pairs.
        def order(acts)
          rules = acts.map(&:rule)
          members = acts.to_h { |act| [act.object_id, true] }
          TopologicalSort.build(acts) do |act|
            writers =
              writers_of(TopologicalSort.through(own_reads(act), rules, @table)).select do |other|
                members.key?(other.object_id)
              end
            next writers.select { |other| other.own == "default" } if cleaning?(act)

            writers.reject { |other| !other.equal?(act) && Pairs.mutual?(act.rule, other.rule, @table) }
          end
        end

        def writers_of(keys) = keys.flat_map { |key| @writers[key] }.uniq(&:object_id)
        def cleaning?(act) = %w[mask tidy].include?(act.own)
        def own_reads(act) = cleaning?(act) ? [act.rule.field] : act.rule.awaits(@table)

        # @return [Array<String>] keys of the fields that are read, through calculated ones
        def read_by(act) = @read[act] ||= TopologicalSort.through(own_reads(act), [], @table)
      end
    end
  end
end
