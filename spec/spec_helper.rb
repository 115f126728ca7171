# frozen_string_literal: true

# bin/test has the lines counted that specs run through; both of its processes go into one sum.
if ENV["UP_TACK_COVERAGE"]
  require "simplecov"
  SimpleCov.command_name(ENV["UP_TACK_COVERAGE"])
  SimpleCov.coverage_dir("tmp/coverage")
  SimpleCov.formatter = nil
  SimpleCov.start do
    track_files "{core,app,web}/lib/**/*.rb"
    add_filter(%r{\A/(spec|bin|vendor)/})
  end
end

# Each folder of specs loads the floor it is about and those beneath, no more.
RSpec.configure do |config|
  config.expect_with(:rspec) { |expectations| expectations.include_chain_clauses_in_custom_matcher_descriptions = true }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
  config.disable_monkey_patching!
  config.order = :random
  Kernel.srand config.seed
end
