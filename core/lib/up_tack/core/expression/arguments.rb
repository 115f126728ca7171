# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Checks what a function is given: how many parts, and their types.
      class Arguments
        # @param checker [Checker] takes the problems
        # @param node [Nodes::Call]
        # @param function [Function]
        # @param types [Array<Symbol>] those of the arguments
        def initialize(checker, node, function, types)
          @checker = checker
          @node = node
          @function = function
          @types = types
        end

        # @return [Symbol] the type of the call
        def result
          return @checker.problem(@node, count_mistake) unless @function.accepts_count?(@types.length)

          wrong = @types.each_index.find { |index| !fits?(index) }
          return @checker.problem(@node.arguments[wrong], type_mistake(wrong)) if wrong

          mistake = @function.literal_problem(@node.arguments, @types)
          return @checker.problem(mistake, mistake.message) if mistake

          @function.objection(@node.arguments, @types)&.then { |objection| @checker.objections << objection }
          @function.advice(@node.arguments, @types)&.then { |advice| @checker.warnings << advice }
          @function.result_type(@types)
        end

        private

        def fits?(index)
          @function.parameter(index).types.any? { |wanted|
            Values::Types.fit?(@types[index], wanted)
          } && same_as_first?(index)
        end

        # A parameter of type :any next to others: they must agree, as in coalesce.
        def same_as_first?(index)
          return true unless @function.alike

          Values::Types.fit?(@types[index], @types.find { |type| !Values::Types::OPEN.include?(type) } || :any)
        end

        def count_mistake
          Messages[
            "expression.arguments.takes_as_in",
            function: @function.name,
            count_in_words: @function.count_in_words,
            example: @function.example,
            given: given
          ]
        end

        def given
          return "nothing is given" if @types.empty?

          "#{@types.length} #{(@types.length == 1) ? "is" : "are"} given"
        end

        def type_mistake(index)
          if @function.alike
            return (
              Messages[
                "expression.arguments.all_parts_of_must_be_of_one",
                function: @function.name,
                types: Values::Types.phrase(@types[index])
              ]
            )
          end
          return @checker.link_mistake(@node.arguments[index]) if @types[index] == :link

          parameter = @function.parameter(index)
          wanted = parameter.types.map { |type| Values::Types.phrase(type) }.join(" or ")
          Messages[
            "expression.arguments.takes_as_its",
            function: @function.name,
            wanted: wanted,
            parameter: parameter.name,
            types: Values::Types.phrase(@types[index])
          ]
        end
      end
    end
  end
end
