# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Texts that proofs expect and that rules put together from a choice, as in “can't go back from Glazed
      # to Drying”. Where a choice stands in them shows only when they are run: such a text gets the new
      # name where the proof comes out with it, and without it does not.
      class RetoldProofs
        # @return [Project]
        attr_reader :project

        # @param project [Project] in which the choices have their new names
        # @param renamed [RenamedChoices]
        def initialize(project, renamed)
          @project = project
          @names = renamed.names.values.reduce({}, :merge).transform_keys(&:downcase)
          @pattern =
            /(?<![[:word:]])(?:#{Regexp.union(@names.keys.sort_by { |name| -name.length }).source})(?![[:word:]])/i
          @run = Bench::Run.new(project)
        end

        # @return [Boolean] whether there is anything to rewrite
        def any? = found.any?

        # @return [Hash{String=>Object}] the project with that, plain
        def plain
          plain = project.to_plain
          plain["tables"].each do |table|
            (table["proofs"] || []).each { |proof| proof["expect"] = found.fetch(proof["id"], proof["expect"]) }
          end
          plain
        end

        private

        def found =
          @found ||= project.tables.flat_map { |table| table.proofs.filter_map { |proof| retold(table, proof) } }.to_h

        # @return [Array(String, Array<Hash>), nil] the proof's id with what it expects from now on
        def retold(table, proof)
          return if proof.expect.none? { |each| other(each) != each }

          played = @run.trial(table, proof, trace: false)
          return if played.is_a?(String)

          expect =
            proof.expect.map do |each|
              [each, *told(each)].find { |text| Bench::Expectation.from(text).met?(played, table) } || each
            end
          [proof.id, expect] unless expect == proof.expect
        end

        def told(expected) = [other(expected)].reject { |each| each == expected }

        def other(expected) =
          expected.to_h do |part, value|
            [
              part,
              if %w[is before after message].include?(part) && value.is_a?(String)
                value.gsub(@pattern) { |name| dressed(name) }
              else
                value
              end
            ]
          end

        # In small letters where it stood so.
        def dressed(name)
          new = @names.fetch(name.downcase)
          (name == name.downcase && name != name.upcase) ? new.downcase : new
        end
      end
    end
  end
end
