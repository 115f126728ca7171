# frozen_string_literal: true

# Prints how many of the lines of each floor the specs ran through, from what bin/test had counted.

require "coverage"
require "json"
require "set"

ROOT = File.expand_path("../..", __dir__)
run = Hash.new { |files, file| files[file] = Set.new }
Dir[File.join(ROOT, "tmp", "coverage", "*.json")].each do |counted|
  JSON.parse(File.read(counted)).each { |file, lines| run[file].merge(lines) }
end
abort "Nothing was counted." if run.empty?

puts
%w[core app web].each do |floor|
  files = Dir[File.join(ROOT, floor, "lib", "**", "*.rb")]
  code =
    files.to_h do |file|
      stub = Coverage.line_stub(file)
      [file, stub.each_index.select { |at| stub[at] }]
    end
  total = code.values.sum(&:length)
  seen = code.sum { |file, lines| lines.count { |at| run[file].include?(at + 1) } }
  puts format("%-4s %5.1f %% of %d lines run by specs", floor, 100.0 * seen / total, total)
end
