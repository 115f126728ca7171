# frozen_string_literal: true

require "fileutils"
require "json"
require "open3"
require "tmpdir"

# What Up Tack is made of, and that it is that.
RSpec.describe "The packages" do
  root = File.expand_path("..", __dir__)
  let(:packages) do
    JSON.parse(File.read(File.join(root, "ui", "package-lock.json")))["packages"].reject { |path, _| path.empty? }
  end
  let(:gems) { File.readlines(File.join(root, "Gemfile.lock")).filter_map { |line| line[/\A {4}(\S+) \(/, 1] }.uniq }

  it "have a hash each in the lock files, and stand in the bill of materials" do
    expect(packages.reject { |_, package| package["integrity"].to_s.match?(/\Asha512-/) }.keys).to eq([])
    text, status = Open3.capture2(File.join(root, "bin", "sbom"))
    bill = JSON.parse(text)
    expect([status.success?, bill["bomFormat"], bill["components"].length]).to eq(
      [true, "CycloneDX", packages.length + gems.length]
    )
    expect(bill["components"].map { |each| each["hashes"].first["content"] }).to all(match(/\A\h{64}(\h{64})?\z/))
  end

  it "are refused where a gem is not the one that was meant" do
    Dir.mktmpdir do |folder|
      %w[Gemfile.lock Gemfile.sums].each { |file| FileUtils.cp(File.join(root, file), folder) }
      FileUtils.mkdir_p(
        [File.join(folder, "bin", "support"), cache = File.join(folder, "vendor", "bundle", "ruby", "3.1.0", "cache")]
      )
      FileUtils.cp(File.join(root, "bin", "support", "gem_sums.rb"), File.join(folder, "bin", "support"))
      real = Dir[File.join(root, "vendor", "bundle", "ruby", "*", "cache", "rack-3*.gem")].first
      FileUtils.cp(real, cache)
      run = -> { Open3.capture3(RbConfig.ruby, File.join(folder, "bin", "support", "gem_sums.rb")) }
      expect(run.call.last.success?).to be(true)
      File.binwrite(File.join(cache, File.basename(real)), "#{File.binread(real)} ")
      _, error, status = run.call
      expect([status.success?, error]).to match([false, /the gem rack-3.* is not the one that Gemfile.sums names/])
    end
  end
end
