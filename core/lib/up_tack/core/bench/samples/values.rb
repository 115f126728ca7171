# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      module Samples
        # Makes up a value for a field, as its type, its rules and what is there already
        # suggest.
        class Values
          DAY = 86_400

          # @param field [Design::Field]
          # @return [Object] some value that such a field can have
          def self.usual(field)
            field.values.usual(field)
          end

          # @param table [Design::Table]
          # @param profile [Profile]
          # @param today [Date]
          # @param linked [Hash{String=>Array<Integer>}] numbers of records that a link can lead to, by its key
          # @param there [Hash{String=>Array<Object>}] values that are there elsewhere, by key of a
          #   field that must be among them
          def initialize(table, profile, today:, linked:, there: {})
            @there = there
            @table = table
            @profile = profile
            @today = today
            @linked = linked
            @bounds = table.fields.to_h { |field| [field.key, Conditions::Bounds.find(table, field)] }
            @masks = table.fields.to_h { |field| [field.key, mask(field)] }.compact
            @listed =
              table
                .rules
                .to_h { |rule| [rule.field, rule.listed_values(table)] }
                .reject { |_, values| values.empty? }
            table.rules.select(&:looks_up?).each { |rule| @listed[rule.field] = @there.fetch(rule.field, []) }
            @lengths =
              table
                .rules
                .reject(&:warning?)
                .filter_map { |rule| rule.lengths && [rule.field, rule.lengths] }
                .to_h
          end

          # @param random [Random]
          # @return [Object, nil] nil where there is nothing that it could be
          def draw(field, random)
            about = @profile[field.key]
            return @listed[field.key][random.rand([@listed[field.key].length, 1].max)] if @listed.key?(field.key)

            return weighted(about, random) { random.rand < 0.3 } if field.yes_no?
            return chosen(field, about, random) if field.listed?
            return linked(field, random) if field.link?
            return number(field, about, random) if field.numeric?
            return date(field, about, random) if field.day?
            return moment(random) if field.moment?
            return DayTime.new(random.rand(8 * 12...18 * 12) * 300) if field.clock?

            field.long? ? Words.sentence(random) : text(field, about, random)
          end

          private

          def linked(field, random)
            found = @linked[field.key]
            found[random.rand(found.length)] if found&.any?
          end

          def moment(random) = ::Time.at((@today.to_time.to_i + random.rand(-90 * DAY..0)) / 60 * 60).utc

          def mask(field) = @table.rules.find { |each| each.field == field.key && each.mask }&.mask

          def chosen(field, about, random)
            known = about.values.select { |pair| field.open_choices.include?(pair.first) }
            if known.empty?
              field.open_choices[random.rand([field.open_choices.length, 1].max)]
            else
              by_weight(known, random)
            end
          end

          def weighted(about, random) = about.values.empty? ? yield : by_weight(about.values, random)

          def by_weight(values, random)
            at = random.rand(values.sum(&:last))
            values.each { |value, count| return value if (at -= count).negative? }
            values.last.first
          end

          def number(field, about, random)
            low, high = @bounds.fetch(field.key)
            low ||= about.low || [BigDecimal(1), high].compact.min
            high ||= about.high || (low + 100)
            low, high = high, low if low > high
            decimals =
              field.decimals ||
              ((about.values.empty? || about.values.any? { |value, _| value.frac.nonzero? }) ? 1 : 0)
            unit = 10**decimals
            BigDecimal(random.rand((low * unit).ceil..[(high * unit).floor, (low * unit).ceil].max)) / unit
          end

          def date(field, about, random)
            low, high = @bounds.fetch(field.key)
            low ||= about.low || (@today - 365)
            high ||= [about.high || @today, @today].min
            low, high = high, low if low > high
            low + random.rand((high - low).to_i + 1)
          end

          def text(field, about, random)
            return masked(@masks.fetch(field.key), random) if @masks.key?(field.key)

            fit(
              field,
              if Words.kind(field).nil? && about.values.any?
                by_weight(about.values, random)
              else
                Words.text(field, random)
              end
            )
          end

          def fit(field, text)
            least, most = @lengths.fetch(field.key, [nil, nil])
            text = text.ljust(least, "a") if least
            most ? text[0, most] : text
          end

          LETTERS = {
            "UPPER" => ("A".."Z").to_a,
            "LOWER" => ("a".."z").to_a,
            "ALPHA" => ("a".."z").to_a,
            "DIGIT" => ("0".."9").to_a,
            "ALNUM" => [*"a".."z", *"0".."9"],
            "ANY" => ("a".."z").to_a
          }.freeze
          private_constant :LETTERS

          def masked(mask, random)
            row = mask.rows[random.rand(mask.rows.length)] || []
            row
              .map do |slot|
                if slot.is_a?(Masks::Slots::Fixed)
                  slot.character
                else
                  LETTERS.fetch(slot.name).then { |all| all[random.rand(all.length)] }
                end
              end
              .join
          end
        end
      end
    end
  end
end
