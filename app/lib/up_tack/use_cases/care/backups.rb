# frozen_string_literal: true

module UpTack
  module UseCases
    module Care
      # Copies of the database: made by hand or on a schedule, kept by number and age, and
      # put back, with a copy of what they replace.
      class Backups
        EVERY = %w[never hour day week].freeze
        USUAL = {"every" => "day", "hour" => 2, "keep" => 30, "days" => 90}.freeze
        SPANS = {"hour" => 3_600, "day" => 86_400, "week" => 604_800}.freeze

        # @param clock [#now] and #local, of the firm
        def initialize(clock)
          @clock = clock
          @store = Store::Backups.new
        end

        # @return [Array<Store::Backups::Copy>]
        def all = @store.all

        # @return [Hash{String=>Object}] "every", "hour" (of the day), "keep" and "days"
        def settings = USUAL.merge(JSON.parse(Store::Settings["backups"] || "{}"))

        # @param plain [Hash{String=>Object}]
        # @return [Hash{String=>Object}]
        # @raise [Core::Design::Invalid]
        def change(plain)
          wanted = settings.merge(plain.slice(*USUAL.keys))
          Core::Design::Invalid.because("Backups are made every hour, day or week, or never.", part: "every") unless EVERY.include?(wanted["every"])
          {"hour" => 0..23, "keep" => 1..1_000, "days" => 1..3_650}.each do |part, range|
            Core::Design::Invalid.because("#{part} is a whole number from #{range.first} to #{range.last}.", part: part) unless wanted[part].is_a?(Integer) && range.cover?(wanted[part])
          end
          Store::Database.write { Store::Settings["backups"] = JSON.generate(wanted) }
          wanted
        end

        # @param why [String] as Store::Backups#make takes it
        # @return [Store::Backups::Copy]
        # @raise [Store::Backups::Unsound]
        def make(why = "hand")
          name = File.basename(@store.make(why, now: @clock.now))
          @store.prune(keep: settings["keep"], days: settings["days"], now: @clock.now)
          @store.all.find { |each| each.name == name }
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
        def restore_file(path)
          Store::Backups.check(path)
          before = File.basename(@store.make("restore", now: @clock.now))
          signed_in = Store::Session.includes(:person).map { |session| [session.attributes.except("id"), session.person.sign_in] }
          Store::Backups.restore(path)
          keep_signed_in(signed_in)
          before
        end

        def drop(name) = @store.drop(name)

        # @return [String]
        def path(name) = @store.path(name)

        private

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

        # Whoever is at work stays so, as far as the copy knows them.
        def keep_signed_in(sessions)
          Store::Database.write do
            sessions.each do |attributes, sign_in|
              person = Store::Person.find_by(sign_in: sign_in, active: true) or next
              Store::Session.create!(attributes.merge("person_id" => person.id)) unless Store::Session.exists?(digest: attributes["digest"])
            end
          end
        end
      end
    end
  end
end
