# frozen_string_literal: true

module UpTack
  module UseCases
    module History
      # How many entries a question has over time.
      class Periods
        # Letters of a moment in UTC up to its hour, and up to its minute, where an edge lies within an hour.
        HOUR = 13
        MINUTE = 16

        # @param question [Question]
        # @param seen [Array<String>, nil] ids of the tables that may be told of, nil for all
        def initialize(question, seen: nil)
          @question = question
          @seen = seen
        end

        # @return [Array(Time, Time), nil] moments of the first and the last
        def span
          firsts, lasts =
            %i[minimum maximum].map { |least| scopes.filter_map { |scope| scope.public_send(least, :made_at) } }
          [firsts.min, lasts.max] if firsts.any?
        end

        # @return [Array<Array(Time, Time, Integer)>] how many entries lie in each period
        # @param edges [Array<Time>] where one ends and the next begins, in UTC
        def counts(edges)
          periods = edges.each_cons(2).to_a
          if whole?
            return periods.map { |from, to| [from, to, scopes.sum { |scope| scope.where(made_at: from...to).count }] }
          end

          found = periods.to_h { |period| [period.first, 0] }
          moments(edges).each do |moment, count|
            at = edges.bsearch_index { |edge| edge > moment }
            found[edges[at - 1]] += count if at&.positive?
          end
          periods.map { |from, to| [from, to, found[from]] }
        end

        private

        # An index has the entries of each table by their moments: then each period is counted apart.
        def whole? = @question.whole?

        def scopes
          @scopes ||=
            if whole?
              tables.map { |table| @question.narrow(Store::Entry.where(table_id: table)) }
            else
              [@question.narrow(all).then { |scope| @seen ? scope.where(table_id: @seen) : scope }]
            end
        end

        def all = @question.field ? Store::FieldChangeIndex.entries(@question.field) : Store::Entry.all

        def tables
          return [@question.table.id] if @question.table

          @seen || Store::LogFiles.places.flat_map { |place, _| Store::Entry.tables(place) }.uniq
        end

        # All are gone through once, however many periods there are.
        # @return [Hash{Time=>Integer}] how many there are in each hour or minute
        def moments(edges)
          letters = (edges.all? { |edge| edge.min.zero? }) ? HOUR : MINUTE
          scopes.first.where(made_at: edges.first...edges.last)
            .group(Arel.sql("substr(up_tack_entries.made_at, 1, #{letters})")).count
            .transform_keys { |text| Time.utc(*text.scan(/\d+/).map(&:to_i)) }
        end
      end
    end
  end
end
