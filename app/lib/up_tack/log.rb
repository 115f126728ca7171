# frozen_string_literal: true

require "semantic_logger"

module UpTack
  # What the program says of itself to whoever runs it: one line each on standard error, as text or, with
  # UP_TACK_LOG=json, as JSON. UP_TACK_LOG_LEVEL says from when on: debug, info, warn (where nothing is said) or
  # error. No value of any record stands there.
  module Log
    LEVELS = %w[debug info warn error].freeze

    # Under which a thread keeps what is said with each of its lines.
    KEY = :up_tack_log_tags

    module_function

    # Begins to write; before that, and in specs that don't, nothing is written.
    # @param io [IO]
    # @return [void]
    def start(io: $stderr, env: ENV)
      level = env["UP_TACK_LOG_LEVEL"].to_s
      SemanticLogger.application = "Up Tack"
      SemanticLogger.default_level = LEVELS.include?(level) ? level.to_sym : :warn
      SemanticLogger.add_appender(io: io, formatter: (env["UP_TACK_LOG"] == "json") ? :json : :default)
    end

    # @param name [String, Class] who says it
    # @return [SemanticLogger::Logger]
    def [](name) = SemanticLogger[name]

    # @param more [Hash{Symbol=>Object}] what is said with each line of the block, such as the id of a request
    # @yield
    def within(**more)
      before = tags
      Thread.current[KEY] = before.merge(more)
      yield
    ensure
      Thread.current[KEY] = before
    end

    # Says it from now on, within the block that goes on.
    # @return [void]
    def add(**more) = Thread.current[KEY] = tags.merge(more)

    # @return [Hash{Symbol=>Object}] what is said with each line of this thread: request, job and person by their
    #   numbers
    def tags = Thread.current[KEY] || {}

    SemanticLogger.on_log { |line| line.named_tags = line.named_tags.merge(tags) }
  end
end
