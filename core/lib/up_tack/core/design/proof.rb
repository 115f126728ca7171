# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A trial kept with what must come out. It brings everything along that it needs,
      # records included, so that it comes to the same wherever and whenever it runs.
      # id:: such as "p12", never given twice
      # name:: what it shows; group:: under which it stands, nil for none
      # note:: the builder's own words
      # script:: the Script; expect:: plain Expectations
      Proof =
        Struct.new(:id, :name, :group, :note, :script, :expect, keyword_init: true) do
          # @param attributes [Hash{String=>Object}] from a design
          def self.from(attributes)
            new(
              id: attributes["id"],
              name: attributes["name"],
              group: attributes["group"].to_s.strip.empty? ? nil : attributes["group"],
              note: attributes["note"].to_s.strip.empty? ? nil : attributes["note"],
              script: attributes.slice(*Design::Proof::SCRIPT).freeze,
              expect: attributes["expect"] || []
            ).freeze
          end

          # @return [Hash{String=>Object}] shares nothing with this proof
          def attributes
            Marshal.load(
              Marshal.dump(
                {"id" => id, "name" => name, "group" => group, "note" => note, **script, "expect" => expect}.compact
              )
            )
          end

          # @param table [Design::Table] its own
          # @return [Array<String>] ids of the rules of which it expects something
          def speaks_of(table) = expectations.flat_map { |each| each.rules(table) }.uniq

          # @return [Array<Design::Expectation>]
          def expectations = expect.map { |attributes| Design::Expectation.from(attributes) }
        end

      class Proof
        SCRIPT = %w[form person at start records acts].freeze
        LONGEST_NAME = 120
        MOST = 2_000
      end
    end
  end
end
