# frozen_string_literal: true

module UpTack
  module Core
    module Rules
      # How a kind of rule says what it is, in its class:
      #
      #   class Limits < Validation
      #     kind "limits", label: "Limits", about: "Between a lowest and a highest value."
      #     part "low", :formula, label: "Lowest"
      #
      # Everybody else asks for what is said here, and never for the class.
      module Declarations
        # Says the kind, or answers it.
        # @param key [String, nil] by which designs name it
        # @param label [String] by which builders choose it
        # @param about [String] one line of what it does
        # @param editor [Symbol] :common for the editor that all kinds share, :own for one in the interface
        # @param begins [Hash{String=>Object}] parts that a new rule of the kind has; "$field" in them stands for the
        #   field on which it is pinned
        # @param needs [Array<Array<String>>] of each of these lists one part must be there before a rule can be
        #   looked at
        # @return [String, nil]
        def kind(key = nil, label: nil, about: nil, editor: :common, begins: {}, needs: [])
          return @kind unless key

          @kind = key
          @label = label
          @about = about
          @editor = editor
          @begins = begins
          @needs = needs
        end

        def label = @label && Wording[@label]
        def about = @about && Wording[@about]

        # @return [Boolean] whether its rules refuse records, or warn
        def validation? = ancestors.include?(Validation)

        # @return [Boolean] whether its rules can do no more than warn, or leave out records that exist
        def lenient? = validation?

        # @return [Symbol] :common or :own, see `kind`
        def editor = @editor || :common

        # @return [Hash{String=>Object}] see `kind`
        def begins = @begins || {}

        # @return [Array<Array<String>>] see `kind`
        def needs = @needs || []

        # Says at which stage it acts, or answers it: that of the class above where it says none.
        # @return [String, nil]
        def stage(key = nil)
          @stage = key if key
          @stage || above&.stage
        end

        # Says which of the ways of looking at records that exist suits it, or answers it.
        # @return [Symbol] see UseCases::Effects
        def effect(key = nil)
          @effect = key if key
          @effect || above&.effect
        end

        # Says which page of the guide explains it, by the name of its file, or answers it.
        # @return [String]
        def guide(page = nil)
          @guide = page if page
          @guide || above&.guide
        end

        # Says which method of Bench::BoundaryCases::PointCases finds records that show what it can do, or answers it;
        # where none is said, records are found by `as_condition`.
        # @return [Symbol, nil]
        def shown_by(name = nil)
          @shown_by = name if name
          @shown_by
        end

        # Says what a record must have gone through to show its settings (methods of Bench::BoundaryCases::Histories),
        # or answers it.
        # @return [Array<Symbol>]
        def histories(*names)
          @histories = names if names.any?
          @histories || above&.histories || []
        end

        # Says that rules of the kind keep something in the design.
        # @param more [Hash] see Part
        def part(key, type, **more) = (@own_parts ||= []) << Part.new(key: key, type: type, **more)

        # @return [Array<Part>] its own, then those of the class above
        def parts = @parts ||= [*@own_parts, *above&.parts].freeze

        # @return [Array<String>] their keys
        def part_keys = @part_keys ||= parts.map(&:key).freeze

        # @return [Array<String>] keys of those that are formulas
        def formula_keys = @formula_keys ||= parts.select(&:formula?).map(&:key).freeze

        # @return [Array<String>] keys of those that name fields of the rule's table
        def field_keys = @field_keys ||= parts.select(&:keys?).map(&:key).freeze

        # What rules of every kind answer.
        EXPECTED = {
          "words" => "words(table), in which its tack says what it does",
          "sentence" => "sentence(table), a whole sentence",
          "compile" => "compile(table), what a save runs"
        }.freeze
        # @return [Array<String>] what the kind has forgotten to say, in sentences
        def missing
          found = []
          found << "say its kind: kind \"…\", label: \"…\", about: \"…\"" unless @kind && @label && @about
          found << "say at which stage it acts: stage \"…\"" unless stage
          found << "say how it looks at records that exist: effect :…" unless effect
          found << "say which page of docs/guide explains it: guide \"…\"" unless guide
          EXPECTED.each { |name, words| found << "define #{words}" if unsaid?(name) }
          found + untested + unlabelled + unknown_needs
        end

        private

        # @return [Declarations, nil] the class above, which may have said what the kind does not
        def above = (superclass if superclass.is_a?(Declarations))

        # @return [Boolean] whether the kind leaves a question as every rule, or every one of a class, answers it
        def unsaid?(question, answered_by = Questions) = instance_method(question).owner.equal?(answered_by)

        def untested
          return [] unless self < Validation && unsaid?(:as_condition) && unsaid?(:test, Validation)

          ["define as_condition(table), a formula that is yes where it lets a record pass (or test(table), an " \
            "object whose call(evaluation) gives a Verdict)"]
        end

        # The common editor has nothing else to go by.
        def unlabelled
          return [] unless editor == :common

          parts.reject(&:label).map { |part| "label its part #{part.key}: part \"#{part.key}\", …, label: \"…\"" }
        end

        def unknown_needs =
          (needs.flatten + begins.keys - part_keys).map { |key| "declare the part #{key} that it begins with or needs" }
      end
    end
  end
end
