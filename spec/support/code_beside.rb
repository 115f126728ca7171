# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"

# Examples of CONTRIBUTING.md, put where they say, in a copy of the code, and run there.
module CodeBeside
  ROOT = File.expand_path("../..", __dir__)

  # @param name [String] what the example's path ends with
  # @return [Array(String, String)] its path and its code
  def self.example(name)
    page = File.read("#{ROOT}/CONTRIBUTING.md")
    page.scan(/<!-- (\S+) -->\n```ruby\n(.*?)```/m).find { |path, _| path.end_with?(name) }
  end

  # Runs a script over a copy of the code that has a file more.
  # @return [String] what it printed
  # @raise [RuntimeError] with what it said, where it failed
  def self.run(path, code, script)
    Dir.mktmpdir do |copy|
      FileUtils.cp_r(%w[core app].map { |floor| "#{ROOT}/#{floor}" }, copy)
      File.write("#{copy}/#{path}", code)
      whole = "require \"json\"\nrequire \"#{copy}/app/lib/up_tack/app\"\n#{script}"
      output, status = Open3.capture2e(RbConfig.ruby, "-rbundler/setup", "-e", whole, chdir: ROOT)
      raise output unless status.success?

      output
    end
  end
end
