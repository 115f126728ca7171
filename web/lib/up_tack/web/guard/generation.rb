# frozen_string_literal: true

require "sqlite3"

module UpTack
  module Web
    module Guard
      # Before a request is looked at, this process forgets what others have made past.
      class Generation
        def initialize(app)
          @app = app
        end

        def call(env)
          follow if env["PATH_INFO"].start_with?("/api/")
          @app.call(env)
        end

        private

        # Where the database can't be asked, whoever answers says so.
        def follow
          Workspace.follow
        rescue ActiveRecord::ActiveRecordError, SQLite3::Exception
          nil
        end
      end
    end
  end
end
