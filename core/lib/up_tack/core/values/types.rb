# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # The types of the language. `:any` is that of `blank`, which goes with
      # every other; `:broken` that of a part with a mistake, which does so too,
      # so that one mistake is not told twice.
      module Types
        NAMES = {
          text: "text", number: "number", date: "date", time: "time", moment: "date and time",
          yes_no: "yes/no", list: "list", link: "link", any: "blank"
        }.freeze
        WITH_ARTICLE = {
          text: "a text", number: "a number", date: "a date", time: "a time",
          moment: "a date and time", yes_no: "yes or no", list: "a list", link: "a link", any: "blank"
        }.freeze
        OPEN = %i[any broken].freeze

        module_function

        # @return [Symbol] the type of a value
        def type_of(value)
          case value
          when nil then :any
          when BigDecimal then :number
          when String then :text
          when true, false then :yes_no
          when ::Date then :date
          when ::Time then :moment
          when DayTime then :time
          when Integer then :link
          when Array then :list
          end
        end

        def name(type) = Wording[NAMES.fetch(type)]
        def phrase(type) = Wording[WITH_ARTICLE.fetch(type)]

        # @return [Boolean] whether a value of one type can stand where the other is wanted
        def fit?(type, wanted) = type == wanted || OPEN.include?(type) || OPEN.include?(wanted)
      end
    end
  end
end
