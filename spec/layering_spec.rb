# frozen_string_literal: true

require "open3"
require_relative "support/constant_graph"

# Each floor is loaded alone, with nothing above it, in a process of its own; and the folders of
# all floors lean on one another in one direction only.
RSpec.describe "The floors" do
  root = File.expand_path("..", __dir__)
  graph = ConstantGraph.new(root)

  it "have no folders that lean on one another" do
    told =
      graph.circles.map do |members|
        steps = members.permutation(2).flat_map { |from, to| graph.steps(from, to).first(3) }
        "#{members.join(", ")}:\n  #{steps.join("\n  ")}"
      end
    expect(told).to be_empty, told.join("\n")
  end

  it "have no line of the interface that is longer than a screen is wide" do
    long =
      Dir[File.join(root, "ui", "src", "**", "*.{ts,tsx,css}")].grep_v(/generated/).flat_map do |file|
        File.foreach(file).with_index(1).filter_map { |line, at| "#{file}:#{at}" if line.chomp.length > 120 }
      end
    expect(long).to eq([])
  end

  it "would show a circle: the graph finds what each file names" do
    expect(graph.steps("core/design", "core/rules")).to include(start_with("core/design/table.rb -> core/rules"))
    expect(graph.folders.fetch("web/routes")).to include("app/use_cases/records", "web/render")
    expect(graph.folders.keys.grep(/\Acore/).flat_map { |folder|
      graph.folders.fetch(folder)
    }.grep(/\A(app|web)/)).to eq([])
  end

  def loaded(root, file, loader, forbidden)
    script = <<~RUBY
      require "#{root}/#{file}"
      #{loader}.eager_load
      wrong = #{forbidden.inspect}.select { |name| Object.const_defined?(name) }
      libraries = $LOADED_FEATURES.grep(%r{/(active_support|active_record|sinatra|rack)/})
      wrong += libraries.first(1) if #{file.start_with?("core")}
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

  # Errors that the store raises are told by web, and how long it may take; what it does is asked of use cases.
  it "leave the store to use cases: web names none of it but errors and times" do
    known = /Store::(NotFound|Deadline|Backups::(Kept|Unsound)|RunningBatch::Busy|PrivateCopy::Failed|
      LogFiles::Missing)\b/x
    named =
      Dir["#{root}/web/lib/**/*.rb"].flat_map do |file|
        File
          .readlines(file)
          .grep_v(/^\s*#/)
          .grep(/\bStore::/)
          .reject { |line| line.gsub(known, "") !~ /\bStore::/ }
          .map { |line| "#{file.delete_prefix("#{root}/")}: #{line.strip}" }
      end
    expect(named).to be_empty, named.join("\n")
  end

  # What answers are made of, whether a request was answered before, and who may do what.
  it "leave services to use cases: web names those that it renders, and what it refuses" do
    known = /Services::(FormState|SaveResult|OpenChoices|Fields|View|NotAllowed|AnswerOnce|Portions::Overtaken)\b/
    named =
      Dir["#{root}/web/lib/**/*.rb"].flat_map do |file|
        lines = File.readlines(file).grep_v(/^\s*#/).map { |line| line.gsub(known, "") }.grep(/\bServices::/)
        lines.map { |line| "#{file.delete_prefix("#{root}/")}: #{line.strip}" }
      end
    expect(named).to be_empty, named.join("\n")
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
