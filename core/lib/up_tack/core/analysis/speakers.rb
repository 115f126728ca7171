# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Several rules, or branches of one, that each speak of the same field while a
      # condition holds. Finds where none of them speaks, where more than one does,
      # and which can never speak; each as an example in words.
      class Speakers
        # Examples told of each kind.
        MOST = 8

        # rule:: the rule; condition:: its tree, nil where it always speaks
        Speaker = Struct.new(:rule, :condition)
        # words:: sentences of a case; values:: by field key, plain, as far as it is one
        #   of fields; linked:: Telling::Linked, details of linked records that it is of;
        #   speaking:: the rules that speak there
        Example = Struct.new(:words, :values, :linked, :speaking)

        # @param table [Design::Table]
        # @param speakers [Array<Speaker>]
        # @param in_order [Boolean] whether the first that may speak silences the others
        def initialize(table, speakers, in_order: false)
          @table = table
          @speakers = speakers
          @in_order = in_order
          @conditions = Conditions.new(table, speakers.filter_map(&:condition))
          @cases = Cases.new(table, @conditions)
          @telling = Telling.new(table, @conditions.unknowns)
        end

        # @return [Boolean] whether there was more than could be tried
        def stopped? = @cases.stopped?

        # @return [Array<Example>] where nobody speaks
        def gaps = told(tried.select { |_, speaking| speaking.empty? })

        # @return [Array<Example>] where more than one speaks
        def overlaps = @in_order ? [] : told(tried.select { |_, speaking| speaking.length > 1 })

        # @return [Array<Rules::Rule>] rules that speak nowhere
        def silent = stopped? ? [] : (@speakers - tried.flat_map(&:last)).map(&:rule)

        private

        def tried = @tried ||= @cases.all.map { |way| [way, speaking(way)] }

        def speaking(way)
          found = @speakers.select { |speaker| speaker.condition.nil? || @conditions.truth(speaker.condition, way) == true }
          @in_order ? found.first(1) : found
        end

        # What does not matter is left out, and what then reads alike is told once.
        def told(ways)
          there = ways.to_h { |way, speaking| [way, speaking] }
          ways.map do |way, speaking|
            telling = way.keys.reject { |text| @cases.values[text].all? { |value| there[way.merge(text => value)] == speaking } }
            Example.new(@telling.words(way, telling), @telling.values(way), @telling.linked(way), speaking.map(&:rule))
          end.uniq { |example| [example.words, example.speaking] }.first(MOST)
        end
      end
    end
  end
end
