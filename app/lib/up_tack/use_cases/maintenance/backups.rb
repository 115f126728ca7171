# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Copies of the database: made by hand or on a schedule, kept by number and age, and
      # put back, with a copy of what they replace.
      class Backups
        EVERY = %w[never hour day week].freeze
        USUAL = {"every" => "day", "hour" => 2, "keep" => 30, "days" => 90}.freeze
        # Times the usual span after which a backup is missed.
        ALARM = 3
        SPANS = {"hour" => 3_600, "day" => 86_400, "week" => 604_800}.freeze

        # @param clock [#now] and #local, of the firm
        # @param person [Store::Person, nil] who asks
        def initialize(clock, person: nil)
          @clock = clock
          @person = person
          @store = Store::Backups.new
        end

        # @return [Array<Store::Backups::Copy>]
        def all = @store.all

        # @return [Hash{String=>Object}] "every", "hour" (of the day), "keep" and "days"
        def settings = USUAL.merge(JSON.parse(Store::Settings["backups"] || "{}"))

        # @param attributes [Hash{String=>Object}]
        # @return [Hash{String=>Object}]
        # @raise [Core::Invalid]
        def change(attributes)
          wanted = settings.merge(attributes.slice(*USUAL.keys))
          unless EVERY.include?(wanted["every"])
            Core::Invalid.because(
              Core::Messages["maintenance.backups.backups_are_made_every_hour_day"],
              part: "every"
            )
          end
          {"hour" => 0..23, "keep" => 1..1_000, "days" => 1..3_650}.each do |part, range|
            unless wanted[part].is_a?(Integer) && range.cover?(wanted[part])
              Core::Invalid.because(
                Core::Messages["maintenance.backups.is_whole_number", part: part, least: range.first, most: range.last],
                part: part
              )
            end
          end
          Store::Database.write { Store::Settings["backups"] = JSON.generate(wanted) }
          wanted
        end

        # @param why [String] as Store::Backups#make takes it
        # @return [Store::Backups::Copy]
        # @raise [Store::Backups::Unsound]
        def make(why = "hand")
          path = @store.make(why, now: @clock.now)
          name = File.basename(path)
          note("backup_made", name, "why" => Store::Backups::WHYS[why])
          limits = settings.slice("keep", "days").transform_keys(&:to_sym)
          @store.prune(**limits, now: @clock.now)
          SecondCopy.new.add(path, limits, now: @clock.now)
          @store.all.find { |each| each.name == name }
        end

        # @return [Boolean] whether the latest is older than it should be
        def late?
          return false if settings["every"] == "never"

          latest = all.first&.made_at || Store::Revision.minimum(:made_at)
          !latest.nil? && @clock.now - latest > ALARM * SPANS.fetch(settings["every"])
        end

        # @return [Boolean] whether the schedule wants one now
        def due?
          every = settings["every"]
          return false if every == "never"

          latest = all.find { |each| each.why == Store::Backups::WHYS["schedule"] }&.made_at
          return true if latest.nil?
          return @clock.now - latest >= SPANS["hour"] if every == "hour"

          now = @clock.local(@clock.now)
          turn = Time.utc(now.year, now.month, now.day, settings["hour"])
          wall = Time.utc(now.year, now.month, now.day, now.hour, now.min)
          turn -= 86_400 if wall < turn
          before = @clock.local(latest)
          days = (every == "week") ? 7 : 1
          Time.utc(before.year, before.month, before.day, before.hour, before.min) < turn - ((days - 1) * 86_400)
        end

        # Makes the copy that is due by the schedule, if one is.
        # @return [Store::Backups::Copy, nil]
        def make_due = due? ? make("schedule") : nil

        # @param name [String]
        # @return [String] name of the copy of what was there before
        # @raise [Store::NotFound, Store::Backups::Unsound]
        def restore(name) = restore_file(@store.path(name))

        # @param path [String]
        # @return [String] name of the copy of what was there before
        # @raise [Store::Backups::Unsound, Store::RunningBatch::Busy]
        def restore_file(path)
          Store::Backups.check(path)
          name = File.basename(path)
          undo = Services::Rollback.method(:left)
          Store::Restoring.new(name: name, unfinished: undo, person: @person, now: @clock.now).call(path) do
            File.basename(@store.make("restore", now: @clock.now))
          end
        end

        # @raise [Store::NotFound, Store::Backups::Kept]
        def drop(name)
          @store.drop(name, now: @clock.now)
          note("backup_deleted", name)
        end

        # @return [String] where it lies, for whoever takes it away
        def hand_out(name) = path(name).tap { note("backup_downloaded", name) }

        # @return [String]
        def path(name) = @store.path(name)

        private

        def note(kind, name, more = {}) =
          Store::Event.add(kind, {"backup" => name, **more}, person: @person, now: @clock.now)
      end
    end
  end
end
