# frozen_string_literal: true

# Much is tried with cases that are made up: some of them at each run, others at the next, by its
# seed. THOROUGH=1 tries all of them, or ten times as many.
module Thorough
  ON = !ENV.fetch("THOROUGH", "").empty?

  module_function

  # @return [Array] all cases, or so many of them
  def some(cases, number, random = Random.new(RSpec.configuration.seed))
    ON ? cases : cases.sample(number, random: random)
  end

  # @return [Integer] how many times something is made up
  def rounds(number) = ON ? number * 10 : number
end
