# frozen_string_literal: true

module UpTack
  module Web
    # The one Rack application: the API under /api, the interface elsewhere.
    class Application < Sinatra::Base
      # Bytes of an answer from which on it is compressed.
      WORTH_COMPRESSING = 8_192

      Guard::RateLimits.prepare
      use Guard::RequestId
      use Guard::RightProcess
      use Guard::Generation
      # Answers are compressed, and not sent again to whoever has them (by their ETag).
      use Rack::Deflater,
        include: %w[application/json text/html text/markdown application/yaml],
        if: ->(_env, _status, headers, _body) { headers.fetch("content-length", 0).to_i >= WORTH_COMPRESSING }
      use Rack::ConditionalGet
      use Rack::ETag
      use Guard::Proxies
      use Rack::Attack
      use Guard::Idempotency
      use Guard::TimeLimit

      set :static, false
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false

      # Answers only to its own names, so that no page elsewhere can reach it under a borrowed one.
      set :host_authorization, {permitted_hosts: Guard::Hosts.permitted}

      helpers Params::Requests, Helpers::Responses, Helpers::Background, Helpers::Assets
      register Helpers::Problems,
        Guard,
        Params::FormerKeys,
        Routes::Session,
        Routes::People,
        Routes::Security,
        Routes::Tables,
        Routes::Fields,
        Routes::Rules,
        Routes::Forms,
        Routes::Decisions,
        Routes::Map,
        Routes::Filters,
        Routes::Formulas,
        Routes::Records,
        Routes::Bulk,
        Routes::Imports,
        Routes::Exports,
        Routes::Maintenance,
        Routes::Numbers,
        Routes::History,
        Routes::Webhooks,
        Routes::Design,
        Routes::Jobs,
        Routes::Masks,
        Routes::Tidy,
        Routes::Lists,
        Routes::Outbox,
        Routes::Bench,
        Routes::Proofs,
        Routes::Samples,
        Routes::Project,
        Routes::Help,
        Routes::Health

      after { ActiveRecord::Base.connection_handler.clear_active_connections! }

      # Every other address belongs to the interface, which finds its own way.
      get "*" do
        if request.path_info.start_with?("/api/")
          raise Store::NotFound, Core::Messages["web.all.there_is_nothing_at", path: request.path_info]
        end

        file = asset(request.path_info)
        next page unless file

        send_asset file
      end

      helpers do
        # The interface, with a nonce for the styles that its editor makes.
        def page
          nonce = SecureRandom.base64(18)
          headers "Content-Security-Policy" => Guard.policy(nonce)
          cache_control :no_cache
          content_type :html
          html = File.read(File.join(Helpers::Assets::FOLDER, "index.html")).gsub("__nonce__", nonce)
          html = html.sub('lang="en"', %(lang="#{Core::Messages.language}"))
          # Whatever page it is, its files lie at the same place; the interface asks from there, too.
          html
            .gsub('="./', %(="#{request.script_name}/))
            .sub('"base-path" content=""', %("base-path" content="#{request.script_name}"))
        end
      end
    end
  end
end
