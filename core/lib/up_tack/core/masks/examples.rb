# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Finds masks from one text that is written as it should be: two or three
      # readings of it, that which says the most about it first.
      module Examples
        # Characters that an example may have.
        LONGEST = 100
        SAMPLES = {
          "DIGIT" => "4071832956",
          "UPPER" => "KTMBRSWLDA",
          "LOWER" => "ktmbrswlda",
          "ALPHA" => "KtMbRsWlDa",
          "ALNUM" => "K4T0M7B1R8",
          "ANY" => "k4?t0.M7b1"
        }.freeze

        module_function

        # @param text [String]
        # @return [Array<String>] masks, each of which the text fits
        def readings(text)
          text = text.unicode_normalize(:nfc).strip[0, LONGEST].delete('"')
          runs = runs(text)
          return [] if runs.none? { |name, _| name }

          found = [exact(runs), fixed(runs), zero_fixed(runs), up_to(runs), any_case(runs)].compact.uniq
          found.select { |mask| ClientMask.problem(Masks.read(mask)).nil? }.first(4)
        end

        # @return [Array<Array(String, String)>] kinds (nil for signs) with the characters that follow one another
        def runs(text)
          text
            .grapheme_clusters
            .chunk_while { |one, other| kind(one) == kind(other) }
            .map { |run| [kind(run.first), run.join] }
        end

        def kind(character)
          return "DIGIT" if character.match?(/\A\d\z/)
          return "UPPER" if CharacterClasses::ALL["UPPER"].match?(character)
          return "LOWER" if CharacterClasses::ALL["LOWER"].match?(character)

          "ALPHA" if CharacterClasses::ALL["ALPHA"].match?(character)
        end

        def exact(runs) = write(runs) { |name, run| "#{count(run)}#{name}" }

        # The letters are always these, such as the prefix of a number.
        def fixed(runs)
          return unless runs.any? { |name, _| name == "DIGIT" } && runs.any? { |name, _| name && name != "DIGIT" }

          write(runs) { |name, run| (name == "DIGIT") ? "#{count(run)}DIGIT" : nil }
        end

        # A code that begins with a nought always does, as phone numbers do.
        def zero_fixed(runs)
          return unless runs.first.first == "DIGIT" && runs.first.last.start_with?("0") && runs.first.last.length > 1

          rest = runs.first.last[1..]
          %("0" #{write([["DIGIT", rest], *runs.drop(1)]) { |name, run| "#{count(run)}#{name}" }})
        end

        def up_to(runs)
          return if runs.all? { |name, run| name.nil? || run.length == 1 }

          write(runs) { |name, run| "#{"1*#{run.grapheme_clusters.length}" if run.length > 1}#{name}" }
        end

        def any_case(runs)
          return unless runs.any? { |name, _| %w[UPPER LOWER].include?(name) }

          joined = runs.map { |name, run| [%w[UPPER LOWER].include?(name) ? "ALPHA" : name, run] }
          merged =
            joined
              .slice_when { |one, other| one.first != other.first || one.first.nil? }
              .map { |group| [group.first.first, group.map(&:last).join] }
          write(merged) { |name, run| "#{count(run)}#{name}" }
        end

        def count(run) = (run.grapheme_clusters.length == 1) ? "" : run.grapheme_clusters.length.to_s

        # Neighbouring fixed texts become one.
        def write(runs)
          pieces = runs.map { |name, run| (name && yield(name, run)) || [run] }
          pieces.chunk_while { |one, other| one.is_a?(Array) && other.is_a?(Array) }.flat_map { |group|
            group.first.is_a?(Array) ? [%("#{group.join}")] : group
          }.join(" ")
        end

        # @param mask [Mask]
        # @return [String] a made-up text that fits it
        def sample(mask)
          counters = Hash.new(0)
          (mask.rows.last || []).map do |slot|
            next slot.character if slot.is_a?(Slots::Fixed)

            next "" if slot.optional && counters[slot.name] > 12

            letters = SAMPLES.fetch(slot.name)
            letters[((counters[slot.name] += 1) - 1) % letters.length]
          end.join
        end
      end
    end
  end
end
