# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Small mistakes that a rule could have, as a slip of the hand makes them: a sign off by one, a
      # condition left out, a choice or a field mixed up, a setting the other way, the rule forgotten.
      # Proofs that show a rule notice each of them.
      class Mutants
        # What each sort of mistake is called.
        SORTS = %w[left_out sign constant logic dropped negated choice field function text setting list row].freeze
        # Mistakes tried of one rule at most.
        MOST = 60

        # sort:: one of SORTS; words:: what is done, for people; plain:: the rule with the mistake, nil
        #   where it is left out
        Mutant = Struct.new(:sort, :words, :attributes, keyword_init: true)

        # @param rule [Rules::Rule]
        # @param table [Design::Table] its own
        # @return [Array<Mutant>] those that could be saved, told apart by what they are
        def self.all(rule, table) = new(rule, table).all

        def initialize(rule, table)
          @rule = rule
          @table = table
          @attributes = rule.attributes
        end

        # @return [Array<Mutant>]
        def all
          return suggesting if idle?

          found = InFormulas.new(@rule, @table).all + Settings.new(@rule, @table).all
          found = found.uniq(&:attributes).reject { |mutant| mutant.attributes == @attributes }
          sound = found.lazy.select { |mutant| sound?(mutant.attributes) }.first(MOST)
          [Mutant.new(sort: "left_out", words: Wording["the rule left out"]), *sound]
        end

        private

        # What is only suggested does nothing when a record is saved, whatever it is made of.
        def suggesting
          Settings.new(@rule, @table).all.select { |mutant| mutant.attributes["mode"] != @attributes["mode"] }
        end

        def idle? = @rule.outcomes(@table).map(&:first) == ["idle"]

        def sound?(attributes)
          rule = Rules.from(attributes)
          beside = @table.with_rule(@rule.id, rule)
          rule.shape_problems.empty? && rule.problems(beside).empty?
        rescue Expression::Invalid, Masks::Invalid, KeyError
          false
        end
      end
    end
  end
end
