# frozen_string_literal: true

# Holds every gem that was brought in against Gemfile.sums, which has the SHA-256 of each:
#
#   ruby bin/support/gem_sums.rb          says what differs, and ends with 1 then
#   ruby bin/support/gem_sums.rb --write  writes the file again, after gems were changed on purpose
#
# What this machine's platform brings in under another name is told, and let be.

require "digest"

ROOT = File.expand_path("../..", __dir__)
SUMS = File.join(ROOT, "Gemfile.sums")
gems =
  Dir[File.join(ROOT, "vendor", "bundle", "ruby", "*", "cache", "*.gem")].sort.to_h do |path|
    [File.basename(path), Digest::SHA256.file(path).hexdigest]
  end

if ARGV.include?("--write")
  locked =
    File
      .readlines(File.join(ROOT, "Gemfile.lock"))
      .filter_map { |line| line[/\A {4}(\S+) \(([^)]+)\)/] && "#{Regexp.last_match(1)}-#{Regexp.last_match(2)}" }
  kept = gems.select { |name, _| locked.any? { |each| name == "#{each}.gem" || name.start_with?("#{each}-") } }
  File.write(SUMS, kept.map { |name, sum| "#{sum}  #{name}\n" }.join)
  exit
end

known = File.readlines(SUMS, chomp: true).to_h { |line| line.split("  ", 2).reverse }
locked = File.read(File.join(ROOT, "Gemfile.lock"))
gems.each do |name, sum|
  next if known[name] == sum

  stem = name.delete_suffix(".gem")
  if known.key?(name)
    warn "Up Tack: the gem #{name} is not the one that Gemfile.sums names. Delete vendor/bundle " \
      "and start again; if it stays so, do not run it."
    exit 1
  elsif locked.include?("    #{stem[/\A(.+)-\d/, 1]} (#{stem[/-(\d[^-]*)/, 1]}")
    warn "· #{name} is not in Gemfile.sums; it is for another platform, and was not compared"
  end
end
