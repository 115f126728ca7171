# frozen_string_literal: true

require_relative "lib/up_tack/web"

run UpTack::Web::Application
