# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Tells people, at the hours that the builder set, that suggestions wait: a
      # notice in the outbox for every table whose check is due.
      class SendNotices
        # @param workspace [Workspace] whose clock says what is due
        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Store::Notice>] those that were made
        def call
          @workspace.project.tables.select { |table| due?(table) }.filter_map { |table| check(table) }
        end

        private

        def due?(table)
          review = table.review or return false

          done = Store::ReviewRun.find_by(table_id: table.id)&.done_at
          done.nil? || done < latest_hour(review)
        end

        # @return [Time] the latest moment at which the check should have been made, in UTC
        def latest_hour(review)
          local = @workspace.clock.local(@workspace.clock.now)
          hour = (review["every"] == "hour") ? local.hour : review.fetch("hour", 9)
          at =
            Clock.stopped(
              @workspace.project.conventions.time_zone,
              format("%s %02d:00", day(review, local, hour).iso8601, hour)
            )
          Time.at(at.now.to_i).utc
        end

        def day(review, local, hour)
          day = Core::Calendar.date_of(local)
          return day if review["every"] == "hour"

          day -= 1 if local.hour < hour
          (review["every"] == "week") ? day - ((day.cwday - review.fetch("weekday", 1)) % 7) : day
        end

        def check(table)
          Store::Database.write do
            mark_done(table)
            count = Tidying::Suggestions.new(@workspace, table).count
            person = Store::Person.find_by(id: table.review["person"]) || Store::Person.order(:id).first
            next if count.zero? || person.nil?

            Store::Notice.create!(
              made_at: @workspace.clock.now,
              table_id: table.id,
              person_id: person.id,
              path: "/t/#{table.key}/tidy",
              subject: Core::Messages["maintenance.send_notices.subject", table: table.label, count: count],
              body: Core::Messages["maintenance.send_notices.body", table: table.label, count: count]
            )
          end
        end

        def mark_done(table)
          done = Store::ReviewRun.find_or_initialize_by(table_id: table.id)
          done.update!(done_at: @workspace.clock.now)
        end
      end
    end
  end
end
