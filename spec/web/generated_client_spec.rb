# frozen_string_literal: true

require "web_helper"
require "puma"
require "open3"

# A client made by a generator from the document alone: what somebody writes against it passes the types of that
# client, and what the server does is what those types say.
RSpec.describe "A client generated from the OpenAPI document" do
  include WebHelp

  ui = UpTack::Installation.path("ui")
  programs = File.join(ui, "node_modules", ".bin")

  # @return [String] what it printed
  def ran(*command, in_folder:)
    out, status = Open3.capture2e(*command, chdir: in_folder)
    raise "#{command.first(2).join(" ")}: #{out}" unless status.success?

    out
  end

  def serving
    events = Puma::LogWriter.null
    server = Puma::Server.new(UpTack::Web::Application, nil, log_writer: events, min_threads: 1, max_threads: 4)
    port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    yield "http://127.0.0.1:#{port}"
  ensure
    server&.stop(true)
  end

  around do |example|
    Dir.mktmpdir { |folder| (@folder = folder) && example.run }
  end

  it "signs in, reads, saves, follows changes and is told why not, by its own types" do
    sign_in_as("Odile Marsh")
    document = File.join(@folder, "openapi.json")
    get "/api/openapi.json"
    File.write(document, last_response.body)
    FileUtils.cp(File.join(__dir__, "client", "journey.ts"), @folder)
    ran("#{programs}/openapi-ts", "--input", document, "--output", File.join(@folder, "generated"),
      "--client", "@hey-api/client-fetch", in_folder: ui)
    types = %w[--noEmit --strict --module esnext --moduleResolution bundler --target es2022 --lib es2023,dom
      --skipLibCheck]
    ran("#{programs}/tsc", *types, File.join(@folder, "journey.ts"), in_folder: ui)
    script = File.join(@folder, "journey.mjs")
    ran("#{programs}/rolldown", File.join(@folder, "journey.ts"), "--file", script, "--platform", "node", in_folder: ui)

    ask(:patch, "/api/scripts", {name_versions: true})
    token = ask(:post, "/api/tokens", {name: "Journey", role: "clerk", days: 1})["token"]
    found = serving { |address| JSON.parse(ran("node", script, address, token, in_folder: @folder)) }
    clays = workspace.table("clays")
    expect(found).to include(
      "tables" => workspace.project.tables.map(&:key),
      "fields" => clays.fields.map { |field| "#{field.key}: #{field.type}" },
      "made" => [201, "Script stoneware", a_string_matching(%r{\A/api/tables/clays/records/\d+\z})],
      "again" => [true, "true"],
      "changed" => [200, "Script porcelain"],
      "late" => [412, "changed_meanwhile"],
      "silent" => [428, "version_needed"],
      "batch" => %w[saved refused],
      "told" => ["create Script stoneware", "update Script porcelain", "create Batch one"],
      "gone" => [204, 404, "not_found"]
    )
    stored = UpTack::Store::RecordTable.new(clays).to_enum(:each).map { |_, row| row["name"] }
    expect(found["names"]).to match_array([*stored, "Script porcelain"])
    expect(found["names"].map(&:downcase)).to eq(found["names"].map(&:downcase).sort)
  end
end
