# frozen_string_literal: true

module UpTack
  module Commands
    # Calculates one expression and prints a line of JSON:
    #
    #   uptack eval 'value(a) * 3' --values '{"a":"1.10"}'
    #   {"type":"number","value":"3.3"}
    #
    # An error goes to standard error as {"message":…,"from":…,"to":…} with
    # character offsets from 0, and the exit status is 1.
    class Eval < Command
      # Notes that stand for a result that can't be had at all.
      FATAL = %i[too_large too_long].freeze

      # @param texts [Array<String>] one expression
      # @param values [String, nil] JSON
      # @param today [String, nil] a date
      # @return [Integer] 0, or 1 after an error
      def call(texts:, values: nil, today: nil)
        return fail_with(Core::Messages["commands.eval.one_expression"]) unless texts.one?

        @values = values ? values_in(values) : {}
        @today = today && day(today)
        print_result(texts.first)
      rescue ArgumentError => e
        fail_with(e.message)
      rescue Core::Expression::Invalid => e
        problem = e.problems.first
        fail_with(problem.message, problem.from, problem.to)
      end

      private

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

        type = value.nil? ? "blank" : Core::Values::Types.type_of(value).to_s.tr("_", "/")
        @out.puts JSON.generate(type: type, value: Core::Values.dump(value))
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
