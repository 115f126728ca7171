# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Texts that proofs expect and that rules put together from a choice, as in “can't go back from Glazed
      # to Drying”. Where a choice stands in them shows only when they are run: such a text gets the new
      # name where the proof comes out with it, and without it does not.
      class RetoldProofs
        # @param change [#apply, #renamed_choices] one of Design::Changes
        # @param project [Design::Project]
        # @return [Design::Project] after the change, its proofs with the new names of choices
        def self.after(change, project)
          changed = change.apply(project)
          change.renamed_choices.empty? ? changed : new(changed, change.renamed_choices).rewritten
        end

        # @param project [Design::Project] in which the choices have their new names
        # @param renamed [Hash{String=>Hash{String=>String}}] new names by old ones, by id of the field
        def initialize(project, renamed)
          @project = project
          @names = renamed.values.reduce({}, :merge).transform_keys(&:downcase)
          @pattern =
            /(?<![[:word:]])(?:#{Regexp.union(@names.keys.sort_by { |name| -name.length }).source})(?![[:word:]])/i
          @run = Run.new(project)
        end

        # @return [Design::Project]
        def rewritten
          return @project if found.empty?

          Design::Project.reopen(attributes, tolerating: @project.tolerated)
        end

        private

        def attributes
          attributes = @project.attributes
          attributes["tables"].each do |table|
            (table["proofs"] || []).each { |proof| proof["expect"] = found.fetch(proof["id"], proof["expect"]) }
          end
          attributes
        end

        def found =
          @found ||= @project.tables.flat_map { |table| table.proofs.filter_map { |proof| retold(table, proof) } }.to_h

        # @return [Array(String, Array<Hash>), nil] the proof's id with what it expects from now on
        def retold(table, proof)
          return if proof.expect.none? { |each| other(each) != each }

          played = @run.trial(table, proof, trace: false)
          return if played.is_a?(String)

          expect =
            proof.expect.map do |each|
              [each, *variants(each)].find { |text|
                ExpectationMatcher.met?(Design::Expectation.from(text), played, table)
              } || each
            end
          [proof.id, expect] unless expect == proof.expect
        end

        def variants(expected) = [other(expected)].reject { |each| each == expected }

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
