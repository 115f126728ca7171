# frozen_string_literal: true

module UpTack
  module Commands
    # The database that a command works on: that named by --database, that of UP_TACK_DATA,
    # or data/up_tack.sqlite3.
    module Database
      class << self
        # @return [String, nil] the one that was worked on last
        attr_reader :named

        # @param file [String, nil] as it was given
        # @return [String]
        def path(file = nil)
          folder = ENV["UP_TACK_DATA"].to_s
          @named = file || ::File.join(folder.empty? ? Installation.path("data") : folder, "up_tack.sqlite3")
        end

        # Opens a database that there is, for the block.
        # @yield [Workspace] of the first builder
        # @raise [Command::Failure] if there is none, or no project in it: nothing is created by a mistyped name
        def open(file)
          where = path(file)
          missing(where) unless ::File.file?(where)
          opened(where) { |workspace| yield(workspace || missing(where)) }
        end

        # Opens a database, or creates one in a folder that there is, for the block.
        # @yield [Workspace, nil] nil while there is no project yet
        def create(file)
          where = path(file)
          folder = ::File.dirname(where)
          unless ::File.directory?(folder)
            raise Command::Failure, Core::Messages["commands.all.there_is_no_folder", path: folder]
          end

          opened(where) { |workspace| yield(workspace) }
        end

        private

        def missing(path) = raise(Command::Failure, Core::Messages["commands.all.there_is_no_project", path: path])

        def opened(path)
          Store::Database.open(path)
          Services::Rollback.left
          Store::Revision.exists? ? yield(Workspace.new(person: builder, apart: true)) : yield(nil)
        ensure
          Store::Database.close if Store::Database.path
        end

        def builder
          Store::Person.where(role: "builder", active: true).order(:id).first || Store::Person.order(:id).first
        end
      end
    end
  end
end
