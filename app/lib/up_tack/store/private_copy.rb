# frozen_string_literal: true

module UpTack
  module Store
    # A copy of the database as it is at one moment, for one process that tries something in it. It lies beside the
    # database, so that whatever is found there is found again, and goes with the process.
    class PrivateCopy
      # What lies beside a database that is open.
      BESIDE = [
        *["", Shared::ENDING].product(["", "-wal", "-shm", "-journal"]).map(&:join), *Turn::ENDINGS
      ].freeze

      # There is no room for it, say.
      class Failed < StandardError; end

      # @param path [String] of a database
      # @return [void] deletes copies that were left by processes that are gone
      def self.sweep(path)
        Dir["#{path}.try-*"].each do |left|
          pid = left[/\.try-(\d+)/, 1].to_i
          FileUtils.rm_f(left) unless alive?(pid)
        end
      end

      def self.alive?(pid)
        Process.kill(0, pid)
        true
      rescue Errno::EPERM
        true
      rescue Errno::ESRCH
        false
      end

      # Does something in a copy rather than in the database that is open.
      # @param of [String] what is copied
      # @yield
      # @raise [Failed]
      def self.during(of: Database.path)
        path = Database.path
        Database.close
        copy = new(path, of: of)
        begin
          copy.open
          yield Database.path
        ensure
          Database.close
          copy.drop
          Database.connect(path)
        end
      end

      # The same, and leaves the copy to another process, which deletes it.
      # @param owner [Integer] number of that process
      # @yield
      # @return [Array(String, Object)] path of the copy, and what the block gives
      def self.left_to(owner)
        kept = "#{Database.path}.try-#{owner}-#{SecureRandom.hex(6)}"
        found = during do |copy|
          yield.tap do
            Database.close
            FileUtils.mv(copy, kept)
          end
        end
        [kept, found]
      end

      # @return [String] where it lies
      def path = @copy

      # @param path [String] of the database
      # @param of [String] of what is copied
      def initialize(path, of: path)
        @path = path
        @of = of
        @copy = "#{path}.try-#{Process.pid}"
      end

      # Makes it, without holding up anybody who writes, and opens it.
      # @return [void]
      # @raise [Failed]
      def open
        PrivateCopy.sweep(@path)
        File.open(@copy, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { nil }
        Backups.copy(@of, @copy, Backups::ALL)
        connect
      rescue Backups::Unsound, SQLite3::Exception, SystemCallError => e
        drop
        raise Failed, Core::Messages["store.private_copy.could_not_be_made", reason: e.message]
      end

      # Opens it once more, for as long as the block runs.
      # @yield
      def again
        connect
        yield
        Database.close
      end

      # @return [void]
      def drop = FileUtils.rm_f(BESIDE.map { |ending| "#{@copy}#{ending}" })

      private

      # It need not outlive anything.
      def connect = Database.connect(@copy, pragmas: {synchronous: "off"})
    end
  end
end
