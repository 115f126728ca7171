# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Every question has an end: what is only looked at is stopped where it takes too long. Long work
      # runs in the background, and files are handed out as they are made. Whoever looks lets others go
      # first who type or save, and no more look at a time than leave room for those.
      class TimeLimit
        # Besides what is fetched, what is only tried.
        TRIED = %r{/(trial|formula|candidates)\z}
        # What is typed is answered at once, before any other question.
        DRAFT = %r{/draft\z}
        # Whoever waits for long work is always told how far it is.
        HOW_FAR = %r{\A/api/(work\z|jobs/)}
        # Whoever waits for changes sets a limit to each look.
        WAITING = %r{\A/api/changes\z}
        # Questions at a time, of the threads that answer.
        MOST = 24

        def initialize(app)
          @app = app
          @looking = 0
          @mutex = Mutex.new
        end

        def call(env)
          return Store::Deadline.hurry { Store::Deadline.within { @app.call(env) } } if DRAFT.match?(env["PATH_INFO"])
          return Store::Deadline.within { @app.call(env) } if HOW_FAR.match?(env["PATH_INFO"])
          return @app.call(env) if WAITING.match?(env["PATH_INFO"])
          return look { @app.call(env) } if env["REQUEST_METHOD"] == "GET" || TRIED.match?(env["PATH_INFO"])

          Store::Deadline.hurry { @app.call(env) }
        end

        private

        def look
          return full unless @mutex.synchronize { (@looking < MOST) && @looking += 1 }

          begin
            status, headers, body = Store::Deadline.within { yield }
            [status, headers, body.is_a?(Array) ? body : Unhurried.new(body)]
          ensure
            @mutex.synchronize { @looking -= 1 }
          end
        end

        def full
          title = Core::Messages["web.all.too_much_is_asked_at_once"]
          [
            503,
            {"content-type" => "application/problem+json", "retry-after" => "2"},
            [JSON.generate({type: "about:blank", title: title, status: 503, code: "busy"})]
          ]
        end

        # A file that is made while it is handed out, for as long as that takes.
        class Unhurried < SimpleDelegator
          def each
            Store::Deadline.within(nil) do
              __getobj__.each do |part|
                Store::Deadline.rest
                yield part
              end
            end
          end
        end
      end
    end
  end
end
