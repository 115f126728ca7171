# frozen_string_literal: true

module UpTack
  module Web
    module Params
      # Reads from a query which entries of the change log are asked for.
      module HistoryParams
        PERIODS = %w[day week month].freeze
        # Periods in a picture at most, before it takes longer ones.
        MOST = 62

        # @return [UseCases::History::Entries] nothing of tables that this person's role does not see
        def history = UseCases::History::Entries.new(history_question, seen: tables_seen)

        # @return [UseCases::History::Changes] of one table, or of all that this person's role sees
        def changes_seen
          key = text_in_query("table") or return UseCases::History::Changes.new(seen: tables_seen)
          table = workspace.table(present_table(key))
          Services::NotAllowed.unless_may(person, table, :see)
          UseCases::History::Changes.new(seen: [table.id])
        end

        # @return [UseCases::History::Question]
        # @raise [Params::Requests::Malformed, Store::NotFound, Services::NotAllowed]
        def history_question
          table = params[:table].to_s.empty? ? nil : workspace.table(present_table(params[:table].to_s))
          Services::NotAllowed.unless_may(person, table, :see) if table
          UseCases::History::Question.new(
            table: table,
            record: number_in_query("record"),
            batch: number_in_query("batch"),
            person: number_in_query("person"),
            field: visible_field(table),
            rule: text_in_query("rule"),
            channel: text_in_query("channel") || text_in_query("way"),
            from: day_in_query("from"),
            to: day_in_query("to", 1)
          )
        end

        # The periods of a picture: days, weeks or months at the firm.
        # @return [Array(String, Array<Time>)] which, and the moments between them in UTC
        def periods(span)
          return ["day", []] unless span

          first, last = span.map { |moment| workspace.clock.day_of(moment) }
          period = PERIODS.find { |each| days_between(first, last, each).length <= MOST } || "month"
          [period, days_between(first, last, period).map { |day| midnight(day) }]
        end

        private

        # @return [Array<String>, nil] ids of tables, nil for all
        def tables_seen
          workspace.project.tables.select { |table| table.allows?(person.role, :see) }.map(&:id) unless person.builder?
        end

        def visible_field(table)
          key = text_in_query("field") or return
          unless table
            raise Requests::Malformed,
              Core::Messages["web.history_params.field_is_asked_for_together"]
          end

          field =
            table.field(present(table.key, key)) ||
            raise(Store::NotFound, Core::Messages["common.there_is_no_field", unknown: key, table: table.label])
          unless workspace.visibility.field?(field)
            raise Store::NotFound, Core::Messages["common.there_is_no_field", unknown: key, table: table.label]
          end

          field.id
        end

        def text_in_query(name)
          text = params[name].to_s.scrub
          (text.empty? || text.include?("\u0000")) ? nil : text[0, 200]
        end

        # @return [Time, nil] the beginning of the day at the firm, in UTC
        def day_in_query(name, later = 0)
          text = text_in_query(name) or return
          match = /\A(\d{4})-(\d\d)-(\d\d)\z/.match(text)
          sound = match && match[1].to_i.positive? && Core::Calendar.valid?(*match.captures.map(&:to_i))
          unless sound
            raise Requests::Malformed,
              Core::Messages["web.history_params.must_be_day_such_as_2026_11", name: name]
          end

          midnight(Core::Calendar.day(*match.captures.map(&:to_i)) + later)
        end

        def midnight(day) =
          Time.at(
            Clock.stopped(workspace.project.conventions.time_zone, "#{day.strftime("%Y-%m-%d")} 00:00").now.to_i
          ).utc

        # @return [Array<Date>] the first days of all periods, and that after the last
        def days_between(first, last, period)
          case period
          when "day"
            (first..(last + 1)).to_a
          when "week"
            ((first - (first.cwday - 1))..(last + 7)).step(7).to_a
          else
            (0..)
              .lazy
              .map { |count| Core::Calendar.day(first.year, first.month, 1) >> count }
              .take_while { |day| day <= (Core::Calendar.day(last.year, last.month, 1) >> 1) }
              .to_a
          end
        end
      end
    end
  end
end
