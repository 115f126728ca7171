# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # How a step came about: in a line, and as parts that can be unfolded.
      # text:: in words; parts:: [Expression::EvaluationTree::Part], one for each formula
      Explanation = Struct.new(:text, :parts) do
        # @param formulas [Array<Expression::Formula, nil>]
        # @param evaluation [Expression::Evaluation]
        # @yield [Array<String>] gives the line made of the formulas with their values
        # @return [Told]
        def self.explain(formulas, evaluation)
          formulas = formulas.compact
          lines = formulas.map { |formula| formula.with_values(evaluation) }
          new(block_given? ? yield(lines) : lines.join(" → "), formulas.map { |formula| formula.parts(evaluation) })
        end

        def to_s = text
      end
    end
  end
end
