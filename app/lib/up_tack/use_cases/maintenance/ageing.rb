# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # What is kept for a while and no longer: values of deleted fields and tables, answers to scripts; and room in the
      # file that nothing needs any more, which is given back.
      module Ageing
        # Days for which values of deleted fields and tables are kept, so that their deletion can be undone.
        ASIDE = 365
        SEEN = "aside_seen"
        # Pages that are given back at a time, and times at most in one go.
        PAGES = 200
        TIMES = 50

        module_function

        # @param clock [#now]
        # @return [void]
        def call(clock)
          Store::Database.write { Store::IdempotentResponse.forget_old(now: clock.now) }
          end_aside(clock.now)
          give_back
        end

        # @return [Array<String>] tables that have ended
        def end_aside(now)
          there = Store::Archive.all
          seen = JSON.parse(Store::Settings[SEEN] || "{}")
          return [] if there.empty? && seen.empty?

          known = there.to_h { |name| [name, seen[name] || now.iso8601] }
          old, kept = known.partition { |_, since| now - Time.iso8601(since) > ASIDE * 86_400 }.map(&:to_h)
          return [] if old.empty? && kept == seen

          Store::Database.write do
            old.each_key { |name| Store::Archive.drop(name) }
            Store::Event.add("aside_ended", {"tables" => old.length}, now: now) if old.any?
            Store::Settings[SEEN] = JSON.generate(kept)
          end
          old.keys
        end

        # A little at a time, so that nobody waits.
        # @return [void]
        def give_back
          connection = Store::Database.connection
          return unless connection.select_value("PRAGMA auto_vacuum") == Store::Database::INCREMENTAL

          TIMES.times do
            break if connection.select_value("PRAGMA freelist_count") < PAGES

            Store::Turn.give_way
            Store::Database.write { connection.raw_connection.execute("PRAGMA incremental_vacuum(#{PAGES})") }
          end
        end
      end
    end
  end
end
