# frozen_string_literal: true

require "semantic_logger"

module UpTack
  # What the program says of itself to whoever runs it: one line each on standard error, as text or, with
  # UP_TACK_LOG=json, as JSON. UP_TACK_LOG_LEVEL says from when on: debug, info, warn (where nothing is said) or
  # error. No value of any record stands there.
  module Log
    LEVELS = %w[debug info warn error].freeze

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

    # @param id [String] of the request in which all is said that is said in the block
    def within(id, &) = SemanticLogger.tagged(request: id, &)
  end
end
