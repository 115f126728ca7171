# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # What the changes share: they work on the plain form of a project and
        # let it be checked as a whole when it is built again.
        class Change
          # @return [String] one sentence
          attr_reader :summary

          # @return [Hash{String=>Hash{String=>String}}] choices that it renames: new names by old ones, by
          #   id of the field
          def renamed_choices = @renamed_choices || {}

          private

          # Builds the changed project. A mistake that shows in a rule other than
          # the one being written is told with the field that it is pinned on.
          # @param project [Project] as it was before
          # @param own [String, nil] id of the rule being written
          # @param tolerating [Array<Core::Problem>, :all] what it may have besides those of the project
          def build(project, attributes, own: nil, tolerating: [])
            Project.reopen(attributes, tolerating: (tolerating == :all) ? :all : project.tolerated + tolerating)
          rescue Invalid => e
            raise Invalid,
              e.problems.map { |problem|
                (problem.rule.nil? || problem.rule == own) ? problem : elsewhere(attributes, problem)
              }
          end

          def elsewhere(attributes, problem)
            table = attributes["tables"].find { |each| each["rules"].any? { |rule| rule["id"] == problem.rule } }
            rule = table["rules"].find { |each| each["id"] == problem.rule }
            field = table["fields"].find { |each| each["key"] == rule["field"] }
            return problem unless field

            Problem.new(
              part: nil,
              rule: problem.rule,
              message: "A rule on #{field["label"]} of #{table["label"]} would no longer work: #{problem.message}"
            )
          end

          # @param renamed [Object] should be new names by old ones
          # @param choices [Array<String>] those before
          # @param later [Object] those afterwards
          # @return [Hash{String=>String}] those that get another name
          # @raise [Core::Invalid]
          def renaming(renamed, choices, later)
            return {} if renamed.nil?
            unless renamed.is_a?(Hash) && renamed.each_value.all?(String) && later.is_a?(Array)
              Invalid.because(Messages["design.change.what_is_renamed_is_told_by_new"], part: "renamed")
            end

            unknown = renamed.keys.find { |name| !choices.include?(name) }
            if unknown
              Invalid.because(
                Messages["design.change.there_is_no_choice_to_rename", unknown: unknown],
                part: "renamed"
              )
            end
            astray = renamed.values.find { |name| !later.include?(name) }
            if astray
              Invalid.because(Messages["design.change.is_not_among_choices_as_they_are", choice: astray],
                part: "renamed")
            end

            renamed.reject { |name, other| name == other }
          end

          # The project with choices under their new names, in records' fields and wherever a design names them.
          # @param renamed [RenamedChoices]
          # @yield [plain] to put the new list in its place
          def with_renamed(project, renamed)
            attributes = project.attributes
            @renamed_choices = renamed.by_id(project)
            renamed.carry(project, attributes)
            yield attributes
            build(project, attributes)
          end

          # @return [String] which choices are renamed, and which become one with another
          def renaming_words(renamed, choices)
            renamed
              .map do |old, name|
                if choices.include?(name) && !renamed.key?(name)
                  "#{old} becomes one with #{name}"
                else
                  "#{old} is now #{name}"
                end
              end
              .join(", ")
          end

          def table_attributes(attributes, key)
            attributes["tables"].find { |table| table["key"] == key } ||
              Invalid.because(Messages["common.there_is_no_table", table: key], part: "table")
          end

          def field_attributes(table, key)
            table["fields"].find { |field| field["key"] == key } ||
              Invalid.because(
                Messages["common.there_is_no_field", unknown: key, table: table["label"]],
                part: "field"
              )
          end

          def next_id(attributes, letter)
            attributes["last_id"] += 1
            "#{letter}#{attributes["last_id"]}"
          end

          # @param attributes [Array<Hash>] fields or tables
          # @return [Array<String>] keys that a new one can't have: those in use, and those by which programs
          #   still know another
          def taken(attributes, except: nil) =
            attributes.reject { |each| each["key"] == except }.flat_map { |each| [each["key"], *each["aliases"]] }

          # Gives a plain field or table another key, and keeps the old one as an alias.
          def rekey(attributes, key)
            aliases = ([*attributes["aliases"], attributes["key"]] - [key]).uniq
            attributes["key"] = key
            aliases.empty? ? attributes.delete("aliases") : attributes["aliases"] = aliases
          end

          # @param kept [Object] aliases that stay, should be some of those that there are
          def keep_aliases(attributes, kept)
            known = kept.is_a?(Array) && (kept - (attributes["aliases"] || [])).empty?
            unless known
              Invalid.because(
                Messages["design.change.former_keys_can_only_be_dropped"],
                part: "aliases"
              )
            end

            kept.empty? ? attributes.delete("aliases") : attributes["aliases"] = kept
          end

          def tidy_label(label)
            return label unless label.is_a?(String) && label.valid_encoding?

            # Not `strip`, which takes a NUL at the end away without a word.
            label.unicode_normalize(:nfc).gsub(/\A[[:space:]]+|[[:space:]]+\z/, "")
          end

          def key_for(label, taken, fallback)
            problem = Names.label_problem(label)
            Invalid.because(problem, part: "label") if problem
            Names.key_for(label, taken: taken, fallback: fallback)
          end

          # A given key is checked as it is; otherwise one is made from the label.
          def pick_key(given, label, taken, fallback)
            return key_for(label, taken, fallback) if given.nil?

            problem = Names.key_problem(given)
            Invalid.because(problem, part: "key") if problem
            given
          end
        end
      end
    end
  end
end
