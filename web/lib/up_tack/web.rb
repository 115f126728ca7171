# frozen_string_literal: true

require "active_support"
require "json"
require "openssl"
require "sinatra/base"
require_relative "../../../app/lib/up_tack/app"

module UpTack
  # HTTP in, JSON out. Each request is read, handed to one use case, and its
  # answer rendered; nothing is decided here about records or rules.
  module Web
    # Loads the constants of this floor by their file names.
    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "up_tack-web"
      loader.push_dir(File.join(__dir__, "web"), namespace: Web)
      loader.enable_reloading if ENV["UP_TACK_RELOAD"]
      loader.setup
    end

    Core::Messages.add(File.expand_path("../../messages", __dir__))
  end
end
