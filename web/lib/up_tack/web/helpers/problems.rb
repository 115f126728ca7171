# frozen_string_literal: true

require "sqlite3"

module UpTack
  module Web
    module Helpers
      # Turns what use cases raise into problem details, all of one shape.
      module Problems
        def self.registered(app)
          app.error(Store::NotFound) { |error| problem(404, "not_found", error.message) }
          app.error(Core::Invalid) do |error|
            problem(
              422,
              "invalid",
              error.problems.first.message,
              mistakes: error.problems.map { |each| Render::Mistake.render(each) }
            )
          end
          app.error(Guard::SignedOut) do |error|
            headers "WWW-Authenticate" => %(Bearer realm="Up Tack")
            problem(401, "signed_out", error.message)
          end
          app.error(Guard::MethodNotAllowed) do |error|
            headers "Allow" => error.verbs.join(", ")
            problem(405, "not_with_this_method", error.message)
          end
          app.error(Guard::CrossSiteRequest) { |error| problem(403, "foreign_page", error.message) }
          app.error(Services::NotAllowed) { |error| problem(403, "not_allowed", error.message) }
          app.error(Guard::Unconfirmed) { |error| problem(403, "confirm", error.message) }
          app.error(UseCases::People::SignIn::Wrong) { |error| problem(403, "wrong_password", error.message) }
          app.error(UseCases::People::SignIn::Refused) { |error| problem(403, "not_signed_in", error.message) }
          app.error(Guard::RateLimits::TooMany) do |error|
            headers "Retry-After" => error.wait.to_s
            problem(429, "too_many", error.message)
          end
          app.error(Store::RunningBatch::Busy) do |error|
            headers "Retry-After" => error.wait.to_s
            problem(409, "being_written", UseCases::Maintenance::Writing.new(workspace).why(error))
          end
          app.error(Services::Portions::Overtaken) { |error| problem(409, "overtaken", error.message) }
          app.error(Store::LogFiles::Missing) { |error| problem(503, "log_incomplete", error.message) }
          app.error(Work::Lost, Store::PrivateCopy::Failed) { |error| problem(503, "lost", error.message) }
          app.error(UpTack::Jobs::TooMany) { |error| problem(429, "too_many", error.message) }
          app.error(Progress::Stopped) { |error| problem(409, "stopped", error.message) }
          # RFC 6585, 3.
          app.error(Params::Requests::Unconditional) { |error| problem(428, "version_needed", error.message) }
          app.error(Params::Requests::Malformed) { |error| problem(400, "malformed", error.message) }
          app.error(Params::Requests::TooLarge) {
            problem(413, "too_large", Core::Messages["web.problems.is_more_than_8_mb"])
          }
          app.error(Sinatra::BadRequest) {
            problem(400, "malformed", Core::Messages["web.problems.address_cant_be_read"])
          }
          app.error(Store::Deadline::Exceeded) { |error| problem(503, "too_slow", error.message) }
          app.error(ActiveRecord::StatementTimeout, ActiveRecord::LockWaitTimeout, SQLite3::BusyException) { busy }
          app.error(ActiveRecord::ConnectionNotEstablished) { full }
          app.error { |error|
            Problems.of_the_machine(error)&.then { |name|
              machine(name, error)
            } || unexpected(error)
          }
          app.helpers Unexpected
        end

        # What the machine lacks, by how SQLite and the system say so.
        MACHINE = {
          busy: [SQLite3::BusyException], disk_full: [SQLite3::FullException, Errno::ENOSPC, Errno::EDQUOT],
          read_only: [SQLite3::ReadOnlyException, SQLite3::CantOpenException, Errno::EROFS, Errno::EACCES],
          no_memory: [NoMemoryError, SQLite3::MemoryException, Errno::ENOMEM]
        }.freeze

        # @param error [Exception]
        # @return [Symbol, nil] a key of MACHINE
        def self.of_the_machine(error)
          # Where SQLite has rolled back by itself, that can't be done once more stands before what it was.
          errors = Enumerator.produce(error, &:cause).take_while { |each| each }
          MACHINE.find { |_, kinds| errors.any? { |each| kinds.any? { |kind| each.is_a?(kind) } } }&.first
        end

        # What nobody foresaw: noted with its place, told in plain words.
        module Unexpected
          def busy
            headers "Retry-After" => "1"
            problem(503, "busy", Core::Messages["web.problems.another_program_is_writing_to_database"])
          end

          # Nothing was saved, and goes on by itself once the machine has it again.
          def machine(name, error)
            return busy if name == :busy

            Log["Request"].error("#{request.request_method} #{request.path_info}: #{name}", error)
            case name
            when :disk_full then problem(507, "disk_full", Core::Messages["web.problems.disk_is_full"])
            when :read_only then problem(503, "read_only", Core::Messages["web.problems.database_is_read_only"])
            else problem(503, "no_memory", Core::Messages["web.problems.there_is_no_memory_left"])
            end
          end

          def full
            headers "Retry-After" => "2"
            problem(503, "busy", Core::Messages["web.all.too_much_is_asked_at_once"])
          end

          def unexpected(error)
            Log["Request"].error("#{request.request_method} #{request.path_info} failed", error)
            problem(
              500,
              "unexpected",
              Core::Messages["web.problems.something_went_wrong_here"]
            )
          end
        end
      end
    end
  end
end
