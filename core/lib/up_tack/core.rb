# frozen_string_literal: true

require "bigdecimal"
require "bigdecimal/util"
require "date"
require "time"
require "zeitwerk"

module UpTack
  # The rules of the job: values, expressions, rule kinds, the design of tables
  # and the save. Plain Ruby: it knows no database, no HTTP and no clock of its
  # own, so that everything in it can be tried with nothing else running.
  module Core
    # Loads the constants of this floor by their file names.
    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "up_tack-core"
      loader.push_dir(File.join(__dir__, "core"), namespace: Core)
      loader.enable_reloading if ENV["UP_TACK_RELOAD"]
      loader.setup
    end

    Messages.add(File.expand_path("../../messages", __dir__))
  end
end
