# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Values to try for the unknowns of some conditions: for each limit just below,
      # on and just above; each choice; every way in which two that are compared can
      # stand to one another, so that "equal" is never forgotten.
      class Cases
        # Combinations tried at most.
        MOST = 20_000

        # @param table [Design::Table]
        # @param conditions [Conditions]
        def initialize(table, conditions)
          @table = table
          @unknowns = conditions.unknowns
        end

        # @return [Hash{String=>Array<Object>}] values by the text of each unknown
        def values = @values ||= @unknowns.to_h { |unknown| [unknown.text, of(unknown)] }

        # @return [Boolean] whether there are more combinations than are tried
        def stopped? = values.values.map(&:length).reduce(1, :*) > MOST

        # @return [Array<Hash{String=>Object}>]
        def all
          return [{}] if values.empty?

          found = []
          each_way(values.to_a, {}) do |way|
            found << way
            break if found.length >= MOST
          end
          found
        end

        private

        def each_way(left, way, &block)
          return block.call(way) if left.empty?

          (text, options), *rest = left
          options.each { |value| each_way(rest, way.merge(text => value), &block) }
        end

        def of(unknown)
          found = closed(unknown) || ordered(unknown)
          unknown.blank ? [*found, nil] : found
        end

        def closed(unknown)
          return [true, false] if %i[test yes_no].include?(unknown.kind)
          return unless %i[text any].include?(unknown.kind)

          field = field(unknown)
          named = family(unknown).flat_map(&:constants).grep(String)
          return field.open_choices | named.filter_map { |text| field.choices.find { |choice| alike?(choice, text) } } if field&.choices&.any?

          [*named.uniq { |text| Expression::Text.folded(text) }, *(1..[family(unknown).length, 1].max).map { |count| "other #{count}" }]
        end

        def alike?(one, other) = Expression::Text.folded(one) == Expression::Text.folded(other)

        def field(unknown) = unknown.node.is_a?(Expression::Nodes::Field) ? @table.field(unknown.node.key) : nil

        # Limits and what lies around and between them: as many points in each gap as
        # there are unknowns that are compared with one another.
        def ordered(unknown)
          members = family(unknown)
          limits = members.flat_map(&:constants).uniq.sort
          low, high = Decisions::Bounds.of(@table, field(unknown))
          points = limits.empty? ? (0..members.length).map { |count| moved(usual(unknown.kind), count) } : around(limits, members.length)
          (points | [low, high].compact).sort.select { |value| (low.nil? || value >= low) && (high.nil? || value <= high) }
        end

        def around(limits, count)
          steps = (1..count).to_a
          inner = limits.each_cons(2).flat_map { |low, high| between(low, high, count) }
          [*steps.map { |step| moved(limits.first, -step) }, *limits, *inner, *steps.map { |step| moved(limits.last, step) }].compact.uniq
        end

        def between(low, high, count)
          return (1..count).map { |step| low + ((high - low) * step / (count + 1)) } if low.is_a?(BigDecimal)

          (1..count).filter_map { |step| moved(low, step) }.select { |value| value < high }
        end

        def moved(value, step)
          return DayTime.new((value.seconds + (step * 60)).clamp(0, 86_399)) if value.is_a?(DayTime)

          value + (value.is_a?(::Time) ? step * 60 : step)
        end

        def usual(kind) = {date: Calendar.day(2026, 6, 1), moment: ::Time.utc(2026, 6, 1, 12), time: DayTime.of(12, 0)}.fetch(kind, BigDecimal(1))

        # @return [Array<Conditions::Unknown>] those that it is compared with, one through the other, and itself
        def family(unknown)
          found = [unknown]
          found.each { |member| @unknowns.each { |other| found << other if !found.include?(other) && (member.peers.include?(other.text) || other.peers.include?(member.text)) } }
          found
        end
      end
    end
  end
end
