# frozen_string_literal: true

module UpTack
  module Core
    # The kinds of rule. Each is a class in rules/kinds/, which says all about itself (Declarations): a file
    # there is all that it takes for a kind to be known. What it forgets is told when the kinds are loaded.
    module Rules
      # Raised when a kind of rule does not say all that others ask of it.
      class Incomplete < StandardError; end

      # The order in which kinds of one stage are offered; those not named here come after them.
      OFFERED = %w[
        default mask tidy fill decision narrow copy calculation
        check required limits length one_of fits unique exists lock state
        number stamp tally line
      ].freeze

      class << self
        # @return [Hash{String=>Class}] the rule classes by kind, in the order in which they are offered
        # @raise [Incomplete] where one forgot something
        def all
          @all ||=
            Kinds
              .classes
              .each { |kind| complete(kind) }
              .sort_by { |kind| [OFFERED.index(kind.kind) || OFFERED.length, kind.kind] }
              .to_h { |kind| [kind.kind, kind] }
              .freeze
        end

        # @param attributes [Hash{String=>Object}] from a design
        # @return [Rule]
        # @raise [Core::Invalid] for a kind that is not known
        def from(attributes)
          kind = all[attributes["kind"]] or
            Core::Invalid.because(Messages["rules.all.there_is_no_rule_kind", kind: attributes["kind"]], part: "kind")
          kind.from(attributes)
        end

        private

        def complete(kind)
          missing = kind.missing
          raise Incomplete, Messages["common.must_still", kind: kind, missing: missing.join("; ")] if missing.any?
        end
      end
    end
  end
end
