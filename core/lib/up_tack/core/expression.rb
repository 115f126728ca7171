# frozen_string_literal: true

module UpTack
  module Core
    # The one small language of defaults, conditions and validations.
    #
    #   formula = Expression.compile("clay_weight + tare = wet_weight", scope)
    #   formula.call(evaluation)   # => true, false, nil (blank), a number …
    #
    # Text goes through Lexer and Parser to a tree of Nodes, each of which knows
    # its place in the text; the Checker gives every node a type or names the
    # mistake; the Compiler turns the tree into nested lambdas, once.
    module Expression
      # Goes up when formulas come to other values than in the version before.
      EDITION = 3
      # Characters a formula may have.
      LONGEST = 4_000
      # Brackets, calls and choices within one another.
      DEEPEST = 100
      # Trees remembered: a design reads each of its formulas many times over.
      REMEMBERED = 2_000

      # A place in a formula, by which a probe knows it. from, to:: offsets, as in a Problem
      FormulaPlace = Struct.new(:text, :from, :to)

      # A mistake in a formula.
      # message:: a sentence for people, with a mend where there is one
      # from, to:: character offsets from 0, the end not included
      Problem = Struct.new(:message, :from, :to, keyword_init: true)

      # Raised for a formula that can't be used; carries all its problems.
      class Invalid < StandardError
        attr_reader :problems

        def initialize(problems)
          @problems = problems
          super(problems.first.message)
        end
      end

      # @param text [String]
      # @return [Nodes::Node] the tree, which never changes
      # @raise [Invalid] with the first problem of its shape
      def self.parse(text)
        @mutex.synchronize { return @trees[text] if @trees.key?(text) }
        tree = Parser.new(text).tree
        @mutex.synchronize do
          @trees.shift while @trees.length >= REMEMBERED
          @trees[text.dup.freeze] = tree
        end
      end

      @mutex = Mutex.new
      @trees = {}

      # Where a text can't be read, what it may have meant is told instead.
      def self.meant(text, scope)
        yield
      rescue Invalid
        found = Meant.new(scope).problem(text) or raise
        raise Invalid, [found]
      end
      private_class_method :meant

      # @param text [String] a formula as a program sends it
      # @param scope [Scope]
      # @return [String] with keys that fields had before in their present form
      def self.with_present_keys(text, scope)
        former = scope.with_aliases
        checker = Checker.new(former)
        checker.check(parse(text))
        checker.references.select(&:from).uniq(&:from).sort_by(&:from).reverse_each do |each|
          text = text[0...each.from] + (each.key || each.table) + text[each.to..]
        end
        text
      rescue Invalid
        text # What is wrong with it is told when it is compiled.
      end

      # @param text [String]
      # @param scope [Scope] the fields it may read
      # @param expecting [Symbol, nil] the type wanted, if there is one
      # @param counting [Boolean] whether `counter(…)` may stand in it
      # @return [Formula]
      # @raise [Invalid]
      def self.compile(text, scope, expecting: nil, counting: false)
        tree = meant(text, scope) { parse(text) }
        checker = Checker.new(scope, counting: counting)
        type = checker.check(tree, expecting: expecting)
        raise Invalid, checker.problems if checker.problems.any?
        raise Invalid, checker.objections if checker.objections.any? && !scope.tolerant

        Formula.new(text: text, tree: tree, type: type, scope: scope, checker: checker)
      end
    end
  end
end
