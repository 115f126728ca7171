# frozen_string_literal: true

# The application behind a bad line: answers late, stands still, breaks off before or after its work.
class SlowServer
  class << self
    # Seconds by which each answer of the API is late; and a Proc that is asked what becomes of a request.
    # Which parts of the interface do not arrive: a Proc that is asked with their paths.
    attr_accessor :delay, :trouble, :lost

    def reset
      self.delay = 0
      self.trouble = self.lost = nil
    end
  end
  reset

  def initialize(app)
    @app = app
  end

  def call(env)
    return cut(env) if self.class.lost&.call(env["PATH_INFO"])
    return @app.call(env) unless env["PATH_INFO"].start_with?("/api/")

    # This is the slow line itself, not a wait for something.
    Kernel.sleep(self.class.delay) if self.class.delay.positive?
    case self.class.trouble&.call(env)
    when :unsent then cut(env)
    when :unanswered then @app.call(env).then { cut(env) }
    else @app.call(env)
    end
  end

  private

  # The connection ends without an answer.
  def cut(env)
    env["rack.hijack"].call.close
    [200, {}, []]
  end
end
