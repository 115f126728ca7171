# frozen_string_literal: true

module UpTack
  module Services
    # Writes many records as one change without keeping others from saving: a portion at a time, each in a transaction
    # of its own that holds the lock for about LONGEST. It is still all or nothing: what records were before stands in
    # the journal, from which the change is undone if it does not come to its end. Few records, and what is only
    # tried, are written in one transaction.
    class Portions
      # Records that are written at once.
      AT_ONCE = 100
      # Seconds for which others wait at most, about, and records of one portion.
      LONGEST = 0.04
      SIZES = (5..1_000)

      # The design became another one while a change was written.
      class Overtaken < StandardError
        def initialize = super(Core::Messages["services.portions.design_was_changed"])
      end

      # All in one transaction, which whoever asks has begun.
      class Together
        SIZE = 500

        # @param progress [Progress]
        def initialize(progress = Progress.none)
          @progress = progress
        end

        # @yield makes the batch, and the design that it needs: what becomes of the one becomes of the other
        # @return [Store::Batch]
        def open(*, **) = yield

        # @return [void]
        def about(_table) = nil

        # @param items [Enumerable]
        # @yield [Array] some of them, to be written
        # @return [void]
        def each(items)
          items.each_slice(SIZE) do |some|
            yield some
            @progress.advance(some.length)
          end
        end

        # @return [Integer] 0, since nobody else writes meanwhile
        def others = 0
      end

      # @param workspace [Workspace]
      # @param many [Integer] how many records there are, about
      # @yield [Portions, Together] writes them
      # @return [Object] what the block gives
      def self.run(workspace, many, progress: Progress.none, &work)
        return workspace.write { yield Together.new(progress) } unless apart?(workspace, many)

        new(workspace, progress).run(&work)
      end

      # @return [Boolean] whether so many are written in portions
      def self.apart?(workspace, many) = workspace.apart? && many > AT_ONCE && !Store::Database.writing?

      # @return [Integer] number of the latest entry that was written meanwhile and is of another table, 0 for none
      attr_reader :others

      # @param workspace [Workspace]
      # @param progress [Progress]
      def initialize(workspace, progress)
        @workspace = workspace
        @progress = progress
        @size = AT_ONCE
        @others = 0
      end

      # @yield [Portions]
      # @return [Object] what the block gives
      def run
        note = Store::Database.set_aside_note
        @revision = @workspace.revision_id
        found = yield self
        Store::Database.noting(note) { Store::Database.write { @running&.end } }
        @done = true
        found
      ensure
        settle
      end

      # @param table [Core::Design::Table] whose records are written from here on
      # @return [void]
      def about(table) = @table = table

      # Begins the change.
      # @param total [Integer] how many records there are, about
      # @param table [Core::Design::Table, nil] theirs; nil where `about` will tell
      # @param back [#call, nil] undoes the design that the block makes, where the rest does not come to its end
      # @yield makes the batch, and before it the design that it needs
      # @return [Store::Batch]
      def open(total, table = nil, back: nil)
        @table = table
        @back = back
        Store::RunningBatch.none!
        Store::Database.write do
          Store::RunningBatch.none!
          yield.tap do |batch|
            @running = Store::RunningBatch.begin(batch, total, revision: made_design)
            @seen = Store::ChangeLog.latest
            Store::Journal.open(batch.id)
          end
        end
      end

      # @param items [Enumerable]
      # @yield [Array] some of them, to be written
      # @return [void]
      def each(items, &write)
        waiting = []
        items.each do |item|
          waiting << item
          next if waiting.length < @size

          portion(waiting, &write)
          waiting = []
        end
        portion(waiting, &write) if waiting.any?
      end

      private

      # @return [Integer, nil] the revision that the change itself has made
      def made_design
        return unless @back

        @workspace.renew
        @revision = @workspace.revision_id
      end

      def portion(some)
        Store::Turn.give_way
        began = nil
        Store::Database.write(soon: true) do
          look_around # Only from here on is the lock held.
          began = now
          yield some
          Store::Journal.write
          @running.advance(some.length)
          @seen = Store::ChangeLog.latest
        end
        @size = (some.length * LONGEST / (now - began)).to_i.clamp(SIZES)
        @progress.advance(some.length)
      end

      # What was read for the portion before may be past.
      def look_around
        @workspace.renew
        raise Overtaken unless @workspace.revision_id == @revision

        @others = [@others, Store::ChangeLog.others(@seen, @table)].max
        version = Store::Database.connection.select_value("PRAGMA data_version")
        Store::Counters.written += 1 unless version == @version
        @version = version
      end

      # Whatever kept it from its end, nothing of it stays.
      def settle
        Store::Journal.close
        return unless @running

        @done ? Rollback.forget(@running) : Rollback.new(@workspace).call(@running, &@back)
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
