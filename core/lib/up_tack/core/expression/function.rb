# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # One function of the language: what it takes and gives, its help line,
      # an example whose result (unless it depends on the record) a spec checks, and
      # what it does.
      class Function
        # name:: in words for messages, such as "text"
        # types:: the types it takes
        Parameter = Struct.new(:name, :types, :optional, :many, keyword_init: true)

        # alike:: whether all arguments must be of one type, which is the result's
        # blanks:: whether it wants to see blanks; otherwise a blank argument
        #   gives blank without calling it
        # by_conventions:: whether it reads or writes numbers as the firm does; its block then takes
        #   them as `conventions:`
        # fleeting:: whether the answer changes with the hour, as that of `today()`
        attr_reader :name,
          :example,
          :example_result,
          :parameters,
          :returns,
          :alike,
          :blanks,
          :fleeting,
          :by_conventions

        # @param takes [Hash{Symbol=>Symbol,Array}] parameter names to types; a
        #   name ending in `?` is optional, one ending in `*` can be given many times
        # @yield [evaluation, *values] gives the value, nil for blank
        def initialize(
          name,
          group:,
          takes:,
          returns:,
          help:,
          example:,
          result:,
          alike: false,
          blanks: false,
          fleeting: false,
          by_conventions: false,
          literal: nil,
          objection: nil,
          advice: nil,
          &work
        )
          @name = name
          @group = group
          @parameters =
            takes.map do |label, types|
              Parameter.new(
                name: label.to_s.delete("?*"),
                types: Array(types),
                optional: label.end_with?("?"),
                many: label.end_with?("*")
              )
            end
          @returns = returns
          @help = help
          @example = example
          @example_result = result
          @alike = alike
          @blanks = blanks
          @fleeting = fleeting
          @by_conventions = by_conventions
          @literal = literal
          @objection = objection
          @advice = advice
          @work = work
          freeze
        end

        def help = Wording[@help]
        def group = Wording[@group]

        # @return [Proc] what the compiler calls
        def to_proc = @work

        def parameter(index) = parameters[index] || parameters.last

        def accepts_count?(count)
          count >= parameters.count { |each| !each.optional } && (parameters.any?(&:many) || count <= parameters.length)
        end

        def result_type(types) = alike ? types.find { |type| !Values::Types::OPEN.include?(type) } || :any : returns

        # @param arguments [Array<Nodes::Node>]
        # @param types [Array<Symbol>] of the arguments
        # @return [Problem, nil] what is wrong with fixed arguments, known before any run
        def literal_problem(arguments, types)
          @literal&.call(arguments, types)
        end

        # @return [Problem, nil] what earlier versions took in fixed arguments and is refused now
        def objection(arguments, types) = @objection&.call(arguments, types)

        # @return [Problem, nil] what is allowed in fixed arguments but surely not meant
        def advice(arguments, types) = @advice&.call(arguments, types)

        # @return [String] such as `round(number, places)`
        def signature
          names = parameters.map { |each| each.many ? "#{each.name}, …" : each.name }
          "#{name}(#{names.join(", ")})"
        end

        def count_in_words
          least = parameters.count { |each| !each.optional }
          return "at least #{least}" if parameters.any?(&:many)
          return "nothing in its brackets" if parameters.empty?

          (least == parameters.length) ? least.to_s : "#{least} to #{parameters.length}"
        end
      end
    end
  end
end
