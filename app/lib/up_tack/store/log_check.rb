# frozen_string_literal: true

module UpTack
  module Store
    # Goes through the whole change log and the events, and looks whether they are what was sealed, whether
    # nothing was cut off, whether designs, batches, people, tokens and numbers are those that they tell of,
    # and whether every record is as the log last said. It only reads.
    module LogCheck
      # Seconds by which clocks may differ without a word.
      TOLERANCE = 60
      # Faults that are told; after so many nothing new is learned.
      MOST = 20

      # sound:: whether all of it holds
      # entries, events:: how many were looked at
      # broken:: number of the first entry that does not hold; nil when all do, or where it is something else
      # why:: the first fault in words; faults:: all of them, up to MOST
      # set_back:: [number, seconds] of entries before which the clock was set back
      # head:: the end of it, signed; nil where it is of an earlier version
      Verdict = Struct.new(:sound, :entries, :events, :broken, :why, :faults, :set_back, :head, keyword_init: true) do
        # @param text [String]
        # @param entry [Integer, nil]
        def fault(text, entry = nil)
          self.broken ||= entry
          self.why ||= text
          self.sound = false
          faults << text if faults.length < MOST
        end
      end

      # What can't be checked here.
      class Unchecked < StandardError; end

      module_function

      # @param progress [Progress]
      # @param against [String, nil] path of a file that kept an end or entries of this log: a line of each day,
      #   an export, or a backup
      # @return [Verdict]
      # @raise [Unchecked]
      def run(progress: Progress.none, against: nil)
        # It takes as long as it takes, and gives way to whoever types or saves.
        Deadline.within(nil) { look_over(progress, against) }
      end

      def look_over(progress, against)
        verdict = Verdict.new(sound: true, entries: 0, events: 0, faults: [], set_back: [])
        unless Database.connection.table_exists?("up_tack_events")
          raise Unchecked, Core::Messages["store.log_check.file_is_of_earlier_version_whose_log"]
        end

        LogFiles.follow
        claims = against && Against.read(against)
        Guarded.run(verdict)
        Files.missing(verdict)
        chains = Chains.new(verdict, progress, claims).run
        Files.run(verdict, chains.moved)
        States.run(verdict, chains)
        Records.new(verdict, progress).run if verdict.sound && Revision.exists?
        verdict.head = Head.kept
        verdict
      end

      def rows(sql) = Database.connection.select_rows(sql)
    end
  end
end
