# frozen_string_literal: true

module UpTack
  module Store
    # The tables that Up Tack needs for itself, all named up_tack_…, made by Active Record's migrations in
    # app/migrations. They are only ever added at the end; a file of an older version runs those it lacks.
    module SystemTables
      FOLDER = Installation.path("app", "migrations")
      # Where Active Record keeps the numbers of those that have run; a builder's table may well be
      # called schema_migrations.
      VERSIONS = "up_tack_migrations"

      module_function

      # @param connection [ActiveRecord::ConnectionAdapters::AbstractAdapter] within a transaction
      # @raise [TooNew] for a file of a later version than this, which is left as it is
      def prepare(connection)
        ActiveRecord::Base.schema_migrations_table_name = VERSIONS
        ActiveRecord::Migration.verbose = false
        settings(connection)
        versions = connection.pool.schema_migration
        versions.create_table
        adopt(connection, versions)
        raise TooNew if versions.integer_versions.max.to_i > latest

        ActiveRecord::MigrationContext.new(FOLDER, versions, connection.pool.internal_metadata).migrate
      end

      # @return [Integer] the version that this Up Tack writes
      def latest = @latest ||= Dir.children(FOLDER).map(&:to_i).max

      # @param version [Integer]
      # @return [Array<String>] names of the migrations that a file of that version lacks
      def missing(version)
        Dir.children(FOLDER).sort.select { |name| name.to_i > version }.map { |name| name[/\A\w+/] }
      end

      # @param database [SQLite3::Database] of any file
      # @return [Integer, nil] the version that wrote it, nil for a file that is none of Up Tack
      def version(database)
        tables = database.execute("SELECT name FROM sqlite_master WHERE type = 'table'").flatten
        return database.get_first_value("SELECT max(version + 0) FROM #{VERSIONS}") if tables.include?(VERSIONS)
        return unless tables.include?("up_tack_settings")

        database.get_first_value("SELECT value FROM up_tack_settings WHERE name = 'steps'")&.to_i
      end

      # @param path [String] of any file, or of none
      # @return [Boolean] whether it is one of Up Tack that lacks tables of this version
      def older?(path) = !(found = version_at(path)).nil? && found < latest

      # @param path [String] of any file, or of none
      # @return [Integer, nil] the version that wrote it; nil for one that is none of Up Tack, or can't be read
      def version_at(path)
        return unless File.size?(path)

        database = SQLite3::Database.new(path, readonly: true)
        version(database)
      rescue SQLite3::Exception
        nil # Whoever opens it is told what is wrong with it.
      ensure
        database&.close
      end

      # A file that was written by a later version, whose tables this one does not know.
      class TooNew < StandardError
        def initialize = super(Core::Messages["store.system_tables.database_was_written_by_newer_up_tack"])
      end

      # What there is one of each, by name.
      def settings(connection)
        return if connection.table_exists?("up_tack_settings")

        connection.create_table("up_tack_settings", primary_key: "name", id: :string) { |t| t.text "value" }
      end

      # Files of versions without migrations count the steps that they have run.
      def adopt(connection, versions)
        steps = connection.select_value("SELECT value FROM up_tack_settings WHERE name = 'steps'")
        return unless steps

        (1..steps.to_i).each { |step| versions.create_version(step) }
        connection.execute("DELETE FROM up_tack_settings WHERE name = 'steps'")
      end
    end
  end
end
