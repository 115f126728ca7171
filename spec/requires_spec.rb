# frozen_string_literal: true

require "spec_helper"

# Files are loaded one by one, when their constants are first asked for. What a file uses of a library is required by
# itself or by those above it, and not by one that happened to be loaded before.
RSpec.describe "What is required" do
  root = File.expand_path("..", __dir__)
  libraries = {
    /Zip::/ => "zip", /CSV\b/ => "csv", /FileUtils\b/ => "fileutils", /StringIO\b/ => "stringio",
    /Tempfile\b/ => "tempfile", /SecureRandom\b/ => "securerandom", /Digest::/ => "digest", /Open3\b/ => "open3",
    /(?:UNIX|TCP)(?:Socket|Server)\b/ => "socket", /Etc\./ => "etc", /YAML\b/ => "yaml", /Dir\.mktmpdir/ => "tmpdir",
    /StringScanner\b/ => "strscan", /OpenSSL\b/ => "openssl", /Net::HTTP/ => "net/http", /URI\b/ => "uri",
    /JSON\b/ => "json", /BigDecimal\b/ => "bigdecimal", /Zlib\b/ => "zlib", /Timeout\b/ => "timeout",
    /Icalendar\b/ => "icalendar", /Nokogiri\b/ => "nokogiri", /SQLite3\b/ => "sqlite3", /BCrypt\b/ => "bcrypt"
  }

  # A file, those after which the folders around it are called, and the first ones of the floors beneath.
  def above(path)
    floors = %w[core/lib/up_tack/core.rb app/lib/up_tack/app.rb web/lib/up_tack/web.rb]
    beneath = floors.first(%w[core/ app/ web/].index { |floor| path.start_with?(floor) } + 1)
    folders = path.split("/").each_index.map { |depth| "#{path.split("/").first(depth).join("/")}.rb" }
    [*beneath, *folders.select { |each| File.file?(each) }, path]
  end

  it "stands where it is used, or above" do
    missing = Dir.chdir(root) do
      Dir["{core,app,web}/lib/**/*.rb"].sort.flat_map do |path|
        code = File.read(path).gsub(/^\s*#.*$/, "").gsub(/"[^"\n]*"/, '""')
        has = above(path).flat_map { |each| File.read(each).scan(/^\s*require "([^"]+)"/).flatten }
        used = libraries.select { |constant, _| code.match?(/(?<![:\w.@])#{constant}/) }.values
        (used - has.flat_map { |name| [name, name[%r{\A\w+(?=/)}]] }).map { |library| "#{path} uses #{library}" }
      end
    end
    expect(missing).to eq([])
  end
end
