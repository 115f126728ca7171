# frozen_string_literal: true

require "sqlite3"

module UpTack
  module UseCases
    module Imports
      # Which records were made of which keys of a file: those by which its tables refer to one another. It is kept in
      # a file of its own, so that a second process can ask it and millions of keys take no memory.
      class KeyMap
        # Keys that are written at a time, and asked for again without looking.
        PORTION = 5_000
        KNOWN = 10_000
        # Milliseconds for which one process waits for the other.
        WAIT = 30_000

        # @param text [String]
        # @return [String] in the spelling in which keys are compared
        def self.folded(text) = Core::Unicode.folded(text.strip).sub(/\A([-+]?\d+)\.0+\z/, '\1')

        # @param path [String] of its file
        # @param links [Hash{String=>Array(String, String)}] table and column of the keys that a field has, by its key
        def initialize(path, links)
          @path = path
          @links = links
          @waiting = []
        end

        # @param links [Hash] as #initialize has them
        # @return [KeyMap] the same file, for the links of another table
        def for(links) = KeyMap.new(@path, links)

        # @return [Hash] what another process needs
        def marshal_dump = [@path, @links]

        # @return [void]
        def marshal_load(told)
          @path, @links = told
          @waiting = []
        end

        # @param field [String] key
        # @return [Boolean] whether its cells have keys of the file
        def of?(field) = @links.key?(field)

        # @param table [String]
        # @param column [String]
        # @param text [String]
        # @param id [Integer] of the record that was made of it
        # @return [void]
        def add(table, column, text, id)
          @waiting << [table, column, KeyMap.folded(text), id]
          write if @waiting.length >= PORTION
        end

        # @return [void] writes what waits
        def write
          return if @waiting.empty?

          db.transaction { @waiting.each { |row| insert.execute(row) } }
          @waiting.clear
        end

        # @param field [String] key
        # @param text [String]
        # @return [Integer, nil] number of the record
        def find(field, text)
          table, column = @links.fetch(field)
          id(table, column, text)
        end

        # @return [Integer, nil]
        def id(table, column, text)
          key = KeyMap.folded(text)
          @known = {} if @known.nil? || @known.length > KNOWN
          @known.fetch([table, column, key]) do |asked|
            @known[asked] = db.get_first_value(FIND, asked)
          end
        end

        # @return [void]
        def close
          @insert&.close
          @db&.close
          @insert = @db = nil
          FileUtils.rm_f([@path, "#{@path}-journal"])
        end

        FIND = "SELECT id FROM keys WHERE tab = ? AND col = ? AND key = ?"
        MADE = "CREATE TABLE IF NOT EXISTS keys (tab TEXT, col TEXT, key TEXT, id INTEGER, " \
          "PRIMARY KEY (tab, col, key)) WITHOUT ROWID"
        private_constant :FIND, :MADE

        private

        def db
          @db ||= SQLite3::Database.new(@path).tap do |opened|
            opened.busy_timeout = WAIT
            opened.execute_batch("PRAGMA journal_mode = MEMORY; PRAGMA synchronous = OFF")
            opened.execute(MADE)
          end
        end

        def insert = @insert ||= db.prepare("INSERT OR IGNORE INTO keys VALUES (?, ?, ?, ?)")
      end
    end
  end
end
