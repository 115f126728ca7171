# frozen_string_literal: true

require "csv"
require "digest"
require "fileutils"
require "json"
require "openssl"
require "securerandom"
require "stringio"
require "strscan"
require "tmpdir"
require "uri"
require "yaml"
require "zlib"

require_relative "../../../core/lib/up_tack/core"

module UpTack
  # The use cases, the store and the command line. Stands on the core and knows
  # nothing of HTTP.
  module App
    # Loads the constants of this floor by their file names.
    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "up_tack-app"
      loader.push_dir(__dir__, namespace: UpTack)
      loader.ignore(__FILE__)
      # What was kept by formulas of an earlier version is calculated again when a file is opened.
      loader.on_load("UpTack::Store::Database") { |database, _| database.on_open { Recalculation::Edition.follow } }
      loader.enable_reloading if ENV["UP_TACK_RELOAD"]
      loader.setup
    end

    Core::Messages.add(File.expand_path("../../messages", __dir__))
    # For developers: shows what is not in the catalogue.
    Core::Messages.language = Core::MadeUpLanguage::TAG if ENV["UP_TACK_LANGUAGE"] == Core::MadeUpLanguage::TAG
  end
end
