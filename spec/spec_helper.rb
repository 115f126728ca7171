# frozen_string_literal: true

# bin/test has the lines counted that specs run through, each once: that costs next to nothing. What all its
# processes ran is added up by bin/support/coverage.rb.
if (name = ENV["UP_TACK_COVERAGE"])
  require "coverage"
  require "fileutils"
  require "json"
  Coverage.start(oneshot_lines: true)
  at_exit do
    root = File.expand_path("..", __dir__)
    FileUtils.mkdir_p("#{root}/tmp/coverage")
    own = Coverage.result.select { |file, _| file.match?(%r{\A#{Regexp.escape(root)}/(core|app|web)/lib/}) }
    File.write("#{root}/tmp/coverage/#{name}.json", JSON.generate(own.transform_values { |found|
      found[:oneshot_lines]
    }))
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
