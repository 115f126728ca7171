# frozen_string_literal: true

module UpTack
  module Interchange
    module Sql
      # A CHECK in the formula language, where both say the same, but for capitals of texts that are compared.
      class Condition
        # It can't be said.
        class Unsaid < StandardError; end
        FUNCTIONS = {"LENGTH" => "len", "CHAR_LENGTH" => "len",
                     "TRIM" => "trim", "ABS" => "abs", "ROUND" => "round"}.freeze
        COMPARED = {"=" => "=", "==" => "=", "<>" => "<>", "!=" => "<>", "<" => "<", "<=" => "<=", ">" => ">",
                    ">=" => ">="}.freeze
        DAY = /\A\d{4}-\d\d-\d\d\z/

        # @param table [Table]
        # @param keys [Hash{String=>String}] of fields, by names of columns
        # @param types [Hash{String=>String}] of fields, by their keys
        def initialize(table, keys, types)
          @table = table
          @keys = keys
          @types = types
        end

        # @param text [String]
        # @return [Array(String, Array<String>), nil] a formula with the keys of its fields; nil where it can't be said
        def call(text)
          @tokens = Tokens.new(text)
          @used = []
          formula = any
          [formula, @used.uniq] if @tokens.done?
        rescue Unsaid
          nil
        end

        private

        def any = chain("OR", "or") { all }
        def all = chain("AND", "and") { inverted }

        def chain(word, ours)
          parts = [yield]
          parts << yield while @tokens.pass?(word)
          parts.join(" #{ours} ")
        end

        def inverted = @tokens.pass?("NOT") ? "not (#{inverted})" : compared

        def compared
          return group { any } if @tokens.is?("(") && condition_in_brackets?

          left = sum
          no = @tokens.pass?("NOT") ? "not " : ""
          if @tokens.pass?("IS") then blank(left)
          elsif @tokens.pass?("BETWEEN") then "#{left} #{no}between #{sum} and #{after("AND") { sum }}"
          elsif @tokens.pass?("IN") then "#{left} #{no}in (#{list})"
          elsif (sign = COMPARED[@tokens.peek&.text]) && @tokens.peek.kind == :sign
            @tokens.take
            @tokens.pass?("=") if sign == "=" # as SQLite may have it
            side(left, sign)
          elsif no.empty? && @types[left] == "yes_no" then left
          else raise Unsaid
          end
        end

        # Nothing equals an empty text; and 0 and 1 of a yes or no are those.
        def side(left, sign)
          right = sum
          return empty(left, sign) if right == '""'

          right = {"0" => "no", "1" => "yes"}.fetch(right, right) if @types[left] == "yes_no"
          "#{left} #{sign} #{right}"
        end

        # A CHECK lets NULL pass, which is blank as an empty text is: where there may be NULL, it can't be said.
        def empty(left, sign)
          return "#{left} is blank" if sign == "="

          required = @table.columns.any? { |column| column.required && @keys[column.name] == left }
          (sign == "<>" && required) ? "#{left} is not blank" : raise(Unsaid)
        end

        def blank(left)
          no = @tokens.pass?("NOT") ? "not " : ""
          return "#{left} is #{no}blank" if @tokens.pass?("NULL")

          raise Unsaid
        end

        def after(word) = @tokens.pass?(word) ? yield : raise(Unsaid)

        def list
          raise Unsaid unless @tokens.pass?("(")

          values = [sum]
          values << sum while @tokens.pass?(",")
          raise Unsaid unless @tokens.pass?(")")

          values.join(", ")
        end

        def group
          @tokens.take
          found = yield
          @tokens.pass?(")") ? "(#{found})" : raise(Unsaid)
        end

        # Whether brackets have a condition in them rather than a value.
        def condition_in_brackets?
          depth = 0
          (0..).each do |ahead|
            token = @tokens.peek(ahead) or return true
            depth += 1 if token.text == "(" && token.kind == :sign
            depth -= 1 if token.text == ")" && token.kind == :sign
            return !%w[= < > <= >= <> != + - * / % IN IS BETWEEN NOT ::].include?(@tokens.peek(ahead + 1)&.text) if
              depth.zero?
          end
        end

        def sum = chained(%w[+ -]) { product }
        # There, whole numbers are divided without a rest.
        def product = chained(%w[*]) { single }

        def chained(signs)
          found = yield
          while (token = @tokens.peek) && token.kind == :sign && signs.include?(token.text)
            found = "#{found} #{@tokens.take.text} #{yield}"
          end
          found
        end

        def single
          token = @tokens.peek or raise Unsaid
          found =
            case token.kind
            when :number then @tokens.take.text
            when :text then literal(@tokens.take.text)
            when :sign then sign(token)
            else named(token)
            end
          cast
          found
        end

        # (stage)::text
        def cast
          return unless @tokens.pass?("::")

          @tokens.name
          @tokens.name if @tokens.is?("VARYING") || @tokens.is?("PRECISION")
          @tokens.bracketed
        end

        def sign(token)
          return group { sum } if token.text == "("
          return @tokens.take && "-#{single}" if token.text == "-"

          raise Unsaid
        end

        def literal(text) = text.match?(DAY) ? "date(\"#{text}\")" : "\"#{text.gsub("\"", "\"\"")}\""

        def named(token)
          if token.kind == :word && @tokens.is?("(", 1) then called(@tokens.take.text)
          elsif token.kind == :word && %w[TRUE FALSE].include?(token.text)
            (@tokens.take.text == "TRUE") ? "yes" : "no"
          else
            column = @table.column(@tokens.name.to_s)
            key = column && @keys[column.name] or raise Unsaid
            @used << key
            key
          end
        end

        def called(name)
          function = FUNCTIONS[name] or raise Unsaid
          "#{function}(#{list})"
        end
      end
    end
  end
end
