# frozen_string_literal: true

require "open3"

# Each floor is loaded alone, with nothing above it, in a process of its own.
RSpec.describe "The floors" do
  root = File.expand_path("..", __dir__)

  def loaded(root, file, loader, forbidden)
    script = <<~RUBY
      require "#{root}/#{file}"
      #{loader}.eager_load
      wrong = #{forbidden.inspect}.select { |name| Object.const_defined?(name) }
      wrong += $LOADED_FEATURES.grep(%r{/(active_support|active_record|sinatra|rack)/}).first(1) if #{file.start_with?("core")}
      abort wrong.join(", ") if wrong.any?
    RUBY
    Open3.capture2e(RbConfig.ruby, "-rbundler/setup", "-e", script, chdir: root)
  end

  {
    "core" => [
      "core/lib/up_tack/core.rb",
      "UpTack::Core::LOADER",
      %w[ActiveRecord ActiveSupport Sinatra Rack SQLite3 UpTack::App UpTack::Store UpTack::Web]
    ],
    "app" => ["app/lib/up_tack/app.rb", "UpTack::App::LOADER", %w[Sinatra Rack::Builder UpTack::Web]],
    "web" => ["web/lib/up_tack/web.rb", "UpTack::Web::LOADER", []]
  }.each do |floor, (file, loader, forbidden)|
    it "load #{floor} without what stands above it" do
      output, status = loaded(root, file, loader, forbidden)
      expect(status).to be_success, output
    end
  end

  it "notice a wrong import" do
    output, status = loaded(root, "web/lib/up_tack/web.rb", "UpTack::Web::LOADER", %w[Sinatra])
    expect(status).not_to be_success
    expect(output).to include("Sinatra")
  end

  it "name nothing of an upper floor in their files" do
    above = {
      "core" => /ActiveRecord|ActiveSupport|Sinatra|Rack::|UpTack::(Store|UseCases|Web)|\b(Store|UseCases|Web)::/,
      "app" => /Sinatra|Rack::|\bWeb::/
    }
    wrong =
      above.flat_map do |floor, names|
        Dir["#{root}/#{floor}/**/*.rb"].flat_map do |file|
          File.readlines(file).grep_v(/^\s*#/).grep(names).map { |line| "#{file}: #{line.strip}" }
        end
      end
    expect(wrong).to be_empty
  end
end
