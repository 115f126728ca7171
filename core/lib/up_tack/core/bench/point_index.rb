# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The points of all rules of a project, found by what a probe notes.
      class PointIndex
        # @param project [Design::Project]
        def initialize(project)
          @exact = Hash.new { |hash, note| hash[note] = [] }
          @read = Hash.new { |hash, note| hash[note] = [] }
          project.tables.each do |table|
            table.rules.each { |rule| CoverageTargets.all(rule, table).each { |point| enter(rule, point) } }
          end
        end

        # @param notes [Enumerable<Array>] those of a Probe
        # @return [Hash{String=>Array<String>}] keys of the points that were seen, by rule
        def reached(notes)
          found = Hash.new { |hash, rule| hash[rule] = {} }
          notes.each do |note|
            @exact.fetch(note, []).each { |rule, key| found[rule][key] = true }
            @read.fetch(note.drop(1), []).each { |rule, key| found[rule][key] = true } if note.length == 5
          end
          found.transform_values(&:keys)
        end

        private

        # What is of a formula is noted under the rule at work. A calculation is worked out
        # for others to read, too, and was evaluated all the same.
        def enter(rule, point)
          point.notes.each do |note|
            next @exact[note] << [rule.id, point.key] if point.node.nil?

            @exact[[rule.id, *note]] << [rule.id, point.key]
            @read[note] << [rule.id, point.key] if rule.calculates? || rule.field_state?
          end
        end
      end
    end
  end
end
