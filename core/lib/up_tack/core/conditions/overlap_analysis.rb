# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Several rules, or branches of one, that each speak of the same field while a
      # condition holds. Finds where none of them speaks, where more than one does,
      # and which can never speak; each as an example in words.
      class OverlapAnalysis
        # Examples told of each kind, and of each group of rules that speak at once.
        MOST = 8
        # Cases of a group that are put into words to find so many different ones.
        LOOKED = 60
        # Cases by which it is seen that a value does not matter.
        MOST_VARIED = 600

        # rule:: the rule; condition:: its tree, nil where it always speaks
        Clause = Struct.new(:rule, :condition)
        # words:: sentences of a case; values:: by field key, plain, as far as it is one
        #   of fields; linked:: Conditions::CaseFormatter::Linked, details of linked records that it is of;
        #   speaking:: the rules that speak there
        Example = Struct.new(:words, :values, :linked, :speaking)

        # @param table [Design::Table]
        # @param speakers [Array<Clause>]
        # @param in_order [Boolean] whether the first that may speak silences the others
        def initialize(table, speakers, in_order: false)
          @table = table
          @speakers = speakers
          @in_order = in_order
          @conditions = Conditions::ConditionModel.new(table, speakers.filter_map(&:condition))
          @cases = Conditions::BoundaryValues.new(@conditions)
          @telling = Conditions::CaseFormatter.new(table, @conditions)
        end

        # @return [Boolean] whether there was more than could be tried
        def stopped? = @cases.stopped?

        # @return [Array<Example>] where nobody speaks
        def gaps = examples([], groups.fetch([], []))

        # @return [Array<Example>] where more than one speaks, some of each group of speakers
        def overlaps =
          if @in_order
            []
          else
            groups.select { |speaking, _|
              speaking.length > 1
            }.flat_map { |speaking, assignments| examples(speaking, assignments) }
          end

        # @return [Array<Rules::Rule>] rules that speak nowhere
        def silent
          return [] if stopped?

          quiet = @speakers - groups.keys.flatten
          quiet.select { |speaker| speaker.condition && @conditions.transparent?(speaker.condition) }.map(&:rule)
        end

        private

        # @return [Hash{Array<Clause>=>Array<Hash>}] the cases by who speaks there
        def groups = @groups ||= @cases.all.group_by { |assignment| speaking(assignment) }

        def speaking(assignment)
          (@speaking ||= {})[assignment] ||= begin
            found =
              @speakers.select do |speaker|
                speaker.condition.nil? || @conditions.truth(speaker.condition, assignment) == true
              end
            @in_order ? found.first(1) : found
          end
        end

        # What does not matter is left out, and what then reads alike is told once. Cases of values come
        # before those of blanks, which are more at hand.
        def examples(speaking, assignments)
          found = []
          spread(assignments.sort_by.with_index { |assignment, index|
            [assignment.values.count(&:nil?), index]
          }).each do |assignment|
            example = example(assignment, speaking)
            found << example unless found.any? { |each| each.words == example.words }
            break if found.length >= MOST
          end
          found
        end

        # Some of many, from the first to the last.
        def spread(assignments)
          return assignments if assignments.length <= LOOKED

          (0...LOOKED).map { |index| assignments[index * assignments.length / LOOKED] }.unshift(assignments.first).uniq
        end

        def example(assignment, speaking)
          telling = assignment.keys - indifferent(assignment, speaking)
          Example.new(@telling.words(assignment, telling), @telling.values(assignment), @telling.linked(assignment),
            speaking.map(&:rule))
        end

        # Leaves that can have any of their values, together, without a difference to who speaks.
        def indifferent(assignment, speaking)
          assignment
            .keys
            .each_with_object([]) do |text, free|
              texts = [*free, text]
              lists = texts.map { |each| @cases.values.fetch(each) }
              next if lists.map(&:length).reduce(1, :*) > MOST_VARIED

              if lists
                  .first
                  .product(*lists.drop(1))
                  .all? { |values| speaking(assignment.merge(texts.zip(values).to_h)) == speaking }
                free << text
              end
            end
        end
      end
    end
  end
end
