# frozen_string_literal: true

module UpTack
  module Store
    # Asks the database from a process of its own: while SQLite sorts or adds up a million
    # records no other thread of this one could go on. Where that can't be done the answer
    # is nil, and whoever asks does it here.
    module QueryProcess
      SCRIPT = Installation.path("bin", "support", "ask.rb")
      # Records from which on it is worth a process.
      MANY = 50_000

      module_function

      # @param sql [String] gives one column `id` of whole numbers
      # @param path [String] the database's file
      # @return [Array<Integer>, nil]
      def numbers(sql, path: Database.path) = ask(sql, "numbers", path)&.unpack("q<*")

      # @param sql [String]
      # @return [Array<Array>, nil]
      def rows(sql) = ask(sql, "rows", Database.path)&.then { |answer| JSON.parse(answer) }

      # @param table [String] key of a table that is to be gone through
      # @return [Boolean] whether it has many records, and is not just being written to
      def worth?(table)
        connection = Database.connection
        !connection.transaction_open? &&
          connection.select_value("SELECT MAX(id) FROM #{connection.quote_table_name(table)}").to_i >= MANY
      end

      def ask(sql, shape, path)
        IO.popen(
          [
            {"RUBYOPT" => nil},
            RbConfig.ruby,
            "--disable-gems",
            *libraries,
            SCRIPT,
            path,
            shape,
            {err: File::NULL}
          ],
          "r+b"
        ) do |child|
          child.write(sql)
          child.close_write
          answer = heard(child)
          child.close
          answer if $CHILD_STATUS.success?
        end
      rescue SystemCallError
        nil
      end

      # @return [String] all that the child says
      # @raise [Deadline::Exceeded] where that takes too long; nobody waits for the child then
      def heard(child)
        said = +"".b
        loop do
          left = Deadline.left
          child.wait_readable(left && [left, 0].max) or raise Deadline::Exceeded
          said << child.readpartial(1_000_000)
        end
      rescue EOFError
        said
      rescue Deadline::Exceeded
        Process.kill("KILL", child.pid)
        raise
      end

      def libraries = Gem.loaded_specs.fetch("sqlite3").full_require_paths.flat_map { |folder| ["-I", folder] }
    end
  end
end
