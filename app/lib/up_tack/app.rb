# frozen_string_literal: true

require_relative "../../../core/lib/up_tack/core"

module UpTack
  # The use cases, the store and the command line. Stands on the core and knows
  # nothing of HTTP.
  module App
    ROOT = File.expand_path("../../..", __dir__)

    # Told to a process of Ruby that does one thing many times: to compile it, where it can.
    COMPILING = defined?(RubyVM::YJIT) ? ["--yjit", "--yjit-exec-mem-size=8"].freeze : [].freeze

    # Loads the constants of this floor by their file names.
    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "up_tack-app"
      loader.push_dir(__dir__, namespace: UpTack)
      loader.ignore(__FILE__)
      loader.setup
    end
  end
end
