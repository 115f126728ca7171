# frozen_string_literal: true

# Prints how many of the lines of each floor the specs ran through, from what bin/test had counted.

require "json"

ROOT = File.expand_path("../..", __dir__)
results = File.join(ROOT, "tmp", "coverage", ".resultset.json")
abort "Nothing was counted." unless File.exist?(results)

hits = Hash.new { |files, file| files[file] = [] }
JSON.parse(File.read(results)).each_value do |run|
  run["coverage"].each do |file, found|
    found["lines"].each_with_index do |count, line|
      hits[file][line] = count && (hits[file][line].to_i + count) unless count.nil? && hits[file][line].nil?
    end
  end
end
puts
%w[core app web].each do |floor|
  lines = hits.select { |file, _| file.start_with?("#{ROOT}/#{floor}/") }.values.flatten.compact
  next if lines.empty?

  puts format("%-5s %5.1f %% of %d lines run by specs", floor, 100.0 * lines.count(&:positive?) / lines.length,
    lines.length)
end
