# frozen_string_literal: true

module UpTack
  module UseCases
    module Numbers
      # Where the counts of an auto-number stand, and where the builder sets them.
      class Counts
        # Series told at most, those with the highest names.
        MOST = 200
        # Share of the numbers of a length after which the board warns.
        WARNING = 0.9

        # series:: its key, "" where there is only one
        # next:: the count that comes next; highest:: the highest given so far
        # left:: counts left before numbers get longer than their padding
        Count = Struct.new(:series, :next, :highest, :left, keyword_init: true)

        # @param table [Core::Design::Table]
        # @param rule [Kinds::Number]
        def initialize(table, rule)
          @table = table
          @rule = rule
          @field = table.field(rule.field)
        end

        # @return [Array<Count>] those that were counted in; the only one in any case
        def all
          rows =
            Store::Statements.run(
              "SELECT series, next, highest FROM up_tack_counters WHERE field_id = ? ORDER BY series " \
                "DESC LIMIT #{MOST}",
              @field.id
            )
          rows = [["", @rule.start, nil]] if rows.empty? && !@rule.series?
          rows.map do |series, following, highest|
            Count.new(series: series, next: following, highest: highest, left: left(following))
          end
        end

        # @return [String, nil] what the board says in time, before numbers get longer
        def warning
          full = all.select { |count| count.left <= room * (1 - WARNING) }.min_by(&:left) or return
          where = count_name(full)
          if full.left.negative? || full.left.zero?
            return (
              Core::Messages[
                "numbers.counts.count_has_gone_past_its_digits",
                where: where,
                digits: @rule.digits(@table)
              ]
            )
          end

          Core::Messages[
            "numbers.counts.left_with_digits",
            count: full.left,
            where: where,
            digits: @rule.digits(@table)
          ]
        end

        # @param following [Integer] the count that comes next
        # @raise [Core::Invalid] when it would give a number again
        def set(series, following)
          unless following.is_a?(Integer) && following.between?(0, 10**Core::Numbers::KEPT_DIGITS - 1)
            Core::Invalid.because(Core::Messages["numbers.counts.next_count_is_whole_number_0"], part: "next")
          end
          if @rule.series? && series.to_s.strip.empty?
            Core::Invalid.because(Core::Messages["numbers.counts.name_series_such_as_one_is_listed"], part: "series")
          end

          Store::Database.write do
            highest =
              Store::Statements.run(
                "SELECT highest FROM up_tack_counters WHERE field_id = ? AND series = ?",
                @field.id,
                series
              ).dig(0, 0)
            if highest && following <= highest
              Core::Invalid.because(
                Core::Messages[
                  "numbers.counts.was_given_already",
                  highest: highest,
                  new: count_name(Count.new(series: series)),
                  next_count: highest + 1
                ],
                part: "next"
              )
            end
            Store::Statements.run(
              "INSERT INTO up_tack_counters (field_id, series, next) VALUES (?1, ?2, ?3) ON CONFLICT " \
                "(field_id, series) DO UPDATE SET next = ?3",
              @field.id,
              series,
              following
            )
          end
        end

        private

        def room = 10**@rule.digits(@table)
        def left(following) = (room - following).fdiv(@rule.step).ceil
        def count_name(count) = (count.series == "") ? "" : " for #{count.series}"
      end
    end
  end
end
