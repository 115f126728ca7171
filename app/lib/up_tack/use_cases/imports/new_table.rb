# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # What table a file could make: a field for each column with a type after what it
      # shows, and rules that its values keep to, for the builder to take or leave.
      class NewTable
        # A field. column:: of the file; choices:: for a choice; values:: which could be choices, nil where they are
        # too many; format:: for numbers; target:: table of a link; rules:: Suggestions
        Proposed = Struct.new(:column, :label, :type, :choices, :values, :format, :target, :rules, keyword_init: true)
        # A rule that all values keep to. parts:: as a rule is pinned, without the field; words:: for people;
        # doubtful:: whether values may well break it later, so that it is only taken when somebody says so
        # general:: whether it suits a field of whatever type
        Suggestion =
          Struct.new(:parts, :words, :doubtful, :general, keyword_init: true) do
            def initialize(doubtful: false, general: false, **) = super
          end

        # Rows from which on values tell anything, and different values of a choice at most.
        ENOUGH = 8
        MOST_CHOICES = 12
        LONG = 160

        # @param profiles [Array<Interchange::Profile>]
        # @param names [KnownNames]
        # @return [Array<Proposed>]
        def self.propose(profiles, names)
          labels = []
          profiles.reject { |profile| WhyHeading.ours?(profile.name) }.map do |profile|
            labels << label(profile.name, labels)
            target = names.target(profile)
            type, choices = target ? ["link", nil] : type(profile)
            Proposed.new(
              column: profile.name,
              label: labels.last,
              type: type,
              choices: choices,
              values: values(profile),
              format: format(profile),
              target: target,
              rules: rules(profile, type)
            )
          end
        end

        # The heading as it stands, as far as a label can be so long.
        # @param taken [Array<String>] labels of other fields
        # @return [String]
        def self.label(heading, taken)
          longest = Core::Design::Names::LONGEST_LABEL
          plain = heading.gsub(/[[:cntrl:]]+/, " ").strip
          plain = "Column" if plain.empty?
          label = plain[0, longest].strip
          (2..).each do |count|
            return label if taken.none? { |other| Core::Unicode.folded(other) == Core::Unicode.folded(label) }

            label = "#{plain[0, longest - 5].strip} #{count}"
          end
        end

        # @return [Hash{String=>String}, nil] with what its numbers are of
        def self.format(profile)
          unit = profile.unit or return
          profile.samples.first.match?(/\A[-+]?\s*\d/) ? {"after" => unit} : {"before" => unit}
        end

        # @return [Array<String>, nil] the different texts of a column that could be choices
        def self.values(profile) = (profile.distinct && choices(profile.distinct.keys) if profile.kind_of_all == "text")

        # @param texts [Array<String>]
        # @return [Array<String>, nil] those as choices; nil where one is too long, or two can't be told apart
        def self.choices(texts)
          found = texts.map(&:strip).reject(&:empty?).uniq
          apart = found.uniq { |text| Core::Unicode.folded(text) } == found
          found if found.any? && apart && found.all? { |text| text.length <= Core::Design::Names::LONGEST_LABEL }
        end

        def self.type(profile)
          case profile.kind_of_all
          when "number", "date", "moment", "time" then [profile.kind_of_all, nil]
          when "yes_no" then ["yes_no", nil]
          else
            return ["long_text", nil] if profile.several_lines? || profile.longest > LONG

            few = profile.distinct
            open = profile.filled >= ENOUGH && few && few.length <= MOST_CHOICES && few.length * 3 <= profile.filled &&
              few.keys.all? { |each| each.length <= 40 }
            found = open ? choices(few.keys) : nil
            found ? ["choice", found] : ["text", nil]
          end
        end

        def self.rules(profile, type)
          found = []
          if profile.blank.zero? && profile.filled.positive? && !profile.nothing?
            found << Suggestion.new(parts: {"kind" => "required"}, words: "always filled", general: true)
          end
          enough = profile.filled >= ENOUGH
          mask = (enough && type == "text") ? mask(profile) : nil
          if enough && profile.unique? && %w[text number].include?(type)
            # Amounts, and texts that are no codes, may well be the same once more.
            doubtful = mask.nil? && !profile.running?
            found << Suggestion.new(parts: {"kind" => "unique"}, words: "unique", doubtful: doubtful,
              general: true)
          end
          if mask
            found << Suggestion.new(
              parts: {"kind" => "mask", "mask" => mask},
              words: "format: #{Core::Masks::Phrases.describe(Core::Masks.read(mask).parts)}"
            )
          end
          number = (enough && type == "text" && profile.unique?) ? auto_number(profile) : nil
          found << number if number
          low, high = (enough && type == "number") ? profile.range : nil
          if low && low != high
            found << Suggestion.new(
              parts: {"kind" => "limits", "low" => Core::Numbers.digits(low), "high" => Core::Numbers.digits(high)},
              words: "between #{Core::Numbers.digits(low)} and #{Core::Numbers.digits(high)}",
              doubtful: true
            )
          end
          found
        end

        # @return [Suggestion, nil] where all values are a count behind the same letters
        def self.auto_number(profile)
          start, count = profile.samples.first.match(/\A(.*?\D)(\d{2,9})\z/)&.captures
          return unless count && profile.uniform? && profile.common.length >= start.length

          Suggestion.new(
            parts: {"kind" => "number", "formula" => "#{JSON.generate(start)} & counter(#{count.length})"},
            words: "auto-number for new records",
            doubtful: true
          )
        end
        private_class_method :auto_number

        # @return [String, nil] where all values are written alike, figures among them
        def self.mask(profile)
          first = profile.samples.first
          return unless profile.uniform? && first&.match?(/\d/) && first.length.between?(2, 24)

          Core::Masks::Examples.readings(first).first
        end
        private_class_method :mask
      end
    end
  end
end
