# frozen_string_literal: true

module UpTack
  module Commands
    # The database that a command works on: that named by --database, that of UP_TACK_DATA,
    # or data/up_tack.sqlite3.
    module Database
      module_function

      # @param arguments [Array<String>] from which --database FILE is taken away
      # @return [String]
      def path(arguments)
        at = arguments.index("--database")
        return arguments.slice!(at, 2).last.to_s if at

        ::File.join(
          ENV["UP_TACK_DATA"].to_s.empty? ? Installation.path("data") : ENV["UP_TACK_DATA"],
          "up_tack.sqlite3"
        )
      end

      # Opens it for the block.
      # @yield [Workspace] of the first builder; nil while there is no project yet
      def open(path)
        Store::Database.open(path)
        yield(
          if Store::Revision.exists?
            Workspace.new(
              person:
                Store::Person.where(role: "builder", active: true).order(:id).first ||
                  Store::Person.order(:id).first
            )
          end
        )
      ensure
        Store::Database.close if Store::Database.path
      end
    end
  end
end
