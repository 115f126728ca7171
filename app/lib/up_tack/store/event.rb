# frozen_string_literal: true

module UpTack
  module Store
    # What happened to the database besides its records: who came in and who was refused, people, tokens,
    # backups and restores, and what each change of the design or of many records was. Sealed in a chain of
    # its own, each with the latest entry of the change log at that time.
    # kind:: such as "signed_in", see Web::Render::Security; details:: JSON
    class Event < SystemRecord
      self.table_name = "up_tack_events"
      prepend PersonNames::Kept

      # What only holds the database together, and is no news to anybody.
      SILENT = %w[design batch upgraded key].freeze
      COLUMNS = %w[id made_at person_id person_name kind details entry_id entry_seal].freeze
      INSERTION = Statements::Insertion.new("up_tack_events", [*COLUMNS, "seal"])
      LATEST = "SELECT id, seal FROM up_tack_events ORDER BY id DESC LIMIT 1"

      # @return [Hash{String=>Object}]
      def facts = JSON.parse(details)

      # @param person [Person, nil] who did it
      # @param id [Integer, nil] its number, where it does not follow the one before
      # @return [void]
      def self.add(kind, facts = {}, person: nil, now: Time.now.utc, id: nil)
        Database.write do
          last, seal = Statements.run(LATEST).first || [0, Seal::BEGINNING]
          entry, entry_seal = Statements.run(LogWriter::LATEST).first || [0, Seal::BEGINNING]
          number = person&.id
          values = [
            id || (last + 1),
            LogWriter.moment(now),
            number,
            person ? PersonNames.seal(number, person.name) : "",
            kind,
            JSON.generate(facts),
            entry,
            entry_seal
          ]
          Statements.insert_all(INSERTION, [[*values, Seal.over([seal, *values], LogKey.current)]])
          Head.write
        end
      end

      @waiting = Queue.new
      @mutex = Mutex.new

      # The same as soon as nobody else writes; whoever is refused does not wait for it.
      # @return [void]
      def self.add_soon(kind, facts = {}, person: nil)
        @waiting << [Database.path, Time.now.utc, kind, facts, person]
        @mutex.synchronize { @writer = Thread.new { write_waiting } unless @writer&.alive? }
      end

      # Waits until all of those are written.
      # @return [void]
      def self.flush
        writer = @mutex.synchronize { @writer }
        writer&.join
        write_waiting
      end

      def self.write_waiting
        until @waiting.empty?
          path, now, kind, facts, person = @waiting.pop(true)
          add(kind, facts, person: person, now: now) if path == Database.path
        end
      rescue ThreadError
        nil # Another thread was faster.
      ensure
        unless Database.writing? || Thread.current == Thread.main
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
      private_class_method :write_waiting
    end
  end
end
