# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Takes note of what a save really evaluates: what each rule did, where the two
      # sides of a comparison stood, which branch was taken. Coverage is made of that.
      # Given in the Context; without one nothing is noted and nothing costs.
      class Probe
        SIDES = {-1 => "below", 0 => "on", 1 => "above"}.freeze
        ANSWERS = {true => "yes", false => "no", nil => "blank"}.freeze

        def initialize
          @rules = {}
          @places = {}
          @results = {}
          @rule = nil
        end

        # A rule begins its turn.
        # @param rule [String, nil] id
        def enter(rule) = @rule = rule

        # @param mark [String] what a rule did, such as "set", "refused" or "row 3"
        def step(rule, mark) = (@rules[rule] ||= {})[mark] = true

        # Where a value stands to one end of a rule's limits.
        # @param order [Integer] as <=> gives it
        def side(rule, ending, order) = step(rule, [ending, SIDES.fetch(order <=> 0)])

        # Where the sides of a comparison stood to one another.
        def stand(place, order) = branch(place, SIDES.fetch(order <=> 0))

        # What was found at a place where the way divides. Places are told apart by what
        # they are, not by what they say, which is a good deal faster.
        def branch(place, what) = place && ((@places[@rule] ||= {}.compare_by_identity)[place] ||= {})[what] = true

        # What a whole condition came to.
        def result(text, value)
          ((@results[@rule] ||= {})[text] ||= {})[value] = true if ANSWERS.key?(value)
        end

        # @return [Set<Array>] what was noted: [rule, mark], [rule, ending, side] or
        #   [rule, text, from, to, what], rule being the id of that which was at work
        def notes
          found = Set.new
          @rules.each { |rule, marks| marks.each_key { |mark| found << [rule, *mark] } }
          @places.each do |rule, places|
            places.each do |place, all|
              all.each_key { |what| found << [rule, place.text, place.from, place.to, what] }
            end
          end
          @results.each do |rule, texts|
            texts.each do |text, values|
              values.each_key { |value| found << [rule, text, "all", nil, ANSWERS.fetch(value)] }
            end
          end
          found
        end
      end
    end
  end
end
