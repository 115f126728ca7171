# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What was read of raw input before, for many records in which the very same objects
      # stand for what is typed alike.
      class ParseCache
        def initialize
          forget(nil)
        end

        # @param field [Design::Field]
        # @param raw [Object]
        # @param reading [ParseContext]
        # @return [Object, nil, Values::Unreadable] as Design::Field#read has it
        def read(field, raw, reading)
          return field.read(raw, reading) if field.link? || !raw.frozen?

          forget(reading.today) unless @today.equal?(reading.today)
          (@known[field] ||= InternCache.new(very: true)).one(raw) { field.read(raw, reading) }
        end

        private

        # What a date without its year means goes by the day.
        def forget(today)
          @today = today
          @known = {}.compare_by_identity
        end
      end
    end
  end
end
