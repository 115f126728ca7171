# frozen_string_literal: true

require "json"

module UpTack
  module Commands
    # Works out one formula and prints a line of JSON:
    #
    #   uptack eval 'value(a) * 3' --values '{"a":"1.10"}'
    #   {"type":"number","value":"3.3"}
    #
    # A mistake goes to standard error as {"message":…,"from":…,"to":…} with
    # character offsets from 0, and the exit status is 1.
    class Eval
      USAGE = %q('EXPRESSION' [--values '{"a":"1.10"}'] [--today 2026-11-23])
      # Notes that stand for a result that can't be had at all.
      FATAL = %i[too_large too_long].freeze

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer] 0, or 1 after a mistake
      def run(arguments)
        @today = nil
        @values = {}
        texts = take_options(arguments)
        return fail_with("One expression is expected: uptack eval #{USAGE}") unless texts.one?

        print_result(texts.first)
      rescue ArgumentError => e
        fail_with(e.message)
      rescue Core::Expression::Invalid => e
        problem = e.problems.first
        fail_with(problem.message, problem.from, problem.to)
      end

      private

      # Takes the two options out by hand: an expression such as `-2 ^ 2` must
      # not be mistaken for one.
      # @return [Array<String>] what is left
      def take_options(arguments)
        rest = arguments.flat_map { |each| each.start_with?("--values=", "--today=") ? each.split("=", 2) : [each] }
        texts = []
        while (argument = rest.shift)
          case argument
          when "--values" then @values = values_in(rest.shift.to_s)
          when "--today" then @today = day(rest.shift.to_s)
          else texts << argument
          end
        end
        texts
      end

      def print_result(text)
        formula =
          Core::Expression.compile(
            text.dup.force_encoding(Encoding::UTF_8),
            Core::Expression::Scope.of_values(@values)
          )
        evaluation = Core::Expression::Evaluation.new(values: @values.transform_keys(&:downcase), context: context)
        value = formula.call(evaluation)
        code, sentence = evaluation.notes.last
        if FATAL.include?(code)
          return fail_with("#{sentence[0].upcase}#{sentence[1..]}.", formula.tree.from, formula.tree.to)
        end

        type = value.nil? ? :any : Core::Values::Types.type_of(value)
        @out.puts JSON.generate(type: Core::Values::Types.name(type), value: Core::Values.dump(value))
        0
      end

      def context
        now = @today ? Time.utc(@today.year, @today.month, @today.day, 12) : Time.now.utc
        clock = Core::Ports::StoppedClock.new(now: now, today: @today || Core::Calendar.date_of(Time.now))
        Core::Context.new(clock: clock, person: Core::Ports::Person.new)
      end

      def day(text)
        Core::Expression::Functions::DateFunctions.iso(text) ||
          raise(ArgumentError, Core::Messages["commands.eval.is_not_date_like_2026_11_23", text: text])
      end

      def values_in(json)
        values = JSON.parse(json, decimal_class: BigDecimal)
        raise ArgumentError, Core::Messages["commands.eval.values_must_be_json_object"] unless values.is_a?(Hash)

        values.to_h { |key, value| [key, scalar(key, value)] }
      rescue JSON::ParserError, EncodingError
        raise ArgumentError, Core::Messages["commands.eval.values_are_not_valid_json"]
      end

      def scalar(key, value)
        case value
        when Integer, BigDecimal
          number = BigDecimal(value)
          return number if number.finite? && number.n_significant_digits <= 15 && number.exponent <= 15

          raise ArgumentError, Core::Messages["commands.eval.has_more_than_15_digits", key: key]
        when String then value.unicode_normalize(:nfc)
        when nil, true, false then value
        else raise ArgumentError, Core::Messages["commands.eval.must_be_single_value", key: key]
        end
      end

      def fail_with(message, from = 0, to = 0)
        @err.puts JSON.generate(message: message, from: from, to: to)
        1
      end
    end
  end
end
