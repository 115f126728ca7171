# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Numbers and days made of whole numbers already; records share many of them.
      shared = ->(make) do
        Hash.new { |known, whole| ((known.length < 20_000) ? known : known.clear)[whole] = make.call(whole) }
      end
      NUMBERS = shared.call(->(whole) { BigDecimal(whole) })
      DAYS = shared.call(->(whole) { Calendar.numbered(whole) })
      private_constant :NUMBERS, :DAYS

      # A new record halfway through its rules, to be finished elsewhere.
      # values:: by field key, as Outcome has them
      # origins:: [key, source, rule id] of each value that has one, one after the other;
      #   in which words is left out
      # claimed:: what came along for fields that are worked out, by key; nil mostly
      PartialSave = Struct.new(:values, :origins, :claimed) do
        # @return [PartialSave] itself, with whole numbers for numbers and days wherever they can be:
        #   much is saved where it goes to another process
        def pack(plan)
          plan.whole.each do |key, type|
            value = values[key] or next
            if type == "date" then values[key] = value.jd
            elsif value.scale.zero? then values[key] = value.to_i
            end
          end
          self
        end

        # @return [PartialSave] itself, as it was before `pack`
        def unpack(plan)
          plan.whole.each do |key, type|
            value = values[key]
            values[key] = ((type == "date") ? DAYS : NUMBERS)[value] if value.is_a?(Integer)
          end
          self
        end

        # @return [Origin, nil]
        def origin(plan, key) = (at = place(key)) && plan.origin(origins[at + 1], origins[at + 2])

        # @return [String, nil] id of the rule that gave a field its value
        def rule(key) = (at = place(key)) && origins[at + 2]

        private

        def place(key)
          index = 0
          while index < origins.length
            return index if origins[index] == key

            index += 3
          end
        end
      end
    end
  end
end
