# frozen_string_literal: true

module UpTack
  module Web
    # The one Rack application: the API under /api, the interface elsewhere.
    class Application < Sinatra::Base
      UI = File.join(App::ROOT, "ui", "dist")
      CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'"

      set :public_folder, UI
      set :static, true
      set :static_cache_control, [:public, max_age: 3600]
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false

      # Answers only to its own names when it is meant for this machine alone, so
      # that no page elsewhere can reach it under a borrowed one.
      host = ENV.fetch("HOST", "127.0.0.1")
      set :host_authorization, {permitted_hosts: %w[127.0.0.1 localhost ::1].include?(host) ? [".localhost", "localhost", "127.0.0.1", "::1", "example.org"] : []}

      helpers Requests, Responses, Background
      register Problems, Routes::Session, Routes::Tables, Routes::Fields, Routes::Rules, Routes::Filters, Routes::Formulas, Routes::Records, Routes::History, Routes::Design, Routes::Jobs, Routes::Masks, Routes::Tidy, Routes::Lists, Routes::Outbox, Routes::Help

      before do
        problem(403, "foreign_page", "Another site's page may not write here.") if written_from_elsewhere?
        headers "Content-Security-Policy" => CONTENT_POLICY, "Referrer-Policy" => "same-origin"
        cache_control :no_store if request.path_info.start_with?("/api/")
      end

      after { ActiveRecord::Base.connection_handler.clear_active_connections! }

      # Every other address belongs to the interface, which finds its own way.
      get "*" do
        raise Store::NotFound, "There is nothing at #{request.path_info}." if request.path_info.start_with?("/api/")

        cache_control :no_cache
        send_file File.join(UI, "index.html")
      end
    end
  end
end
