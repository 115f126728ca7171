# frozen_string_literal: true

module UpTack
  module Core
    # The types that a field can have: each is one file in values/ that extends Type, where it is said what a type
    # answers; a file there is all that it takes for a type to be known.
    module Values
      # The answer to something typed that is no value of the type.
      # code:: for programs; message:: for people, a whole sentence
      Unreadable = Struct.new(:code, :message, keyword_init: true)

      # @param key [String]
      # @return [Module] the type
      # @raise [KeyError] for a name that is no type
      def self.[](key) = all.fetch(key)

      # The order in which types are offered; those not named here come after them.
      OFFERED = %w[text long_text number date time moment yes_no choice link].freeze

      # Raised when a type does not say all that others ask of it.
      class Incomplete < StandardError; end

      # @return [Hash{String=>Module}] the types by key, in the order in which they are offered
      # @raise [Incomplete] where one forgot something
      def self.all
        @all ||=
          found
            .sort_by { |type| [OFFERED.index(type.key) || OFFERED.length, type.key] }
            .to_h { |type| [type.key, type] }
            .freeze
      end

      # @return [Array<Module>] found by their files
      def self.found
        names = Dir[File.join(__dir__, "values", "*.rb")].map { |file| File.basename(file, ".rb") }
        types =
          names
            .map { |name| const_get(name.split("_").map(&:capitalize).join) }
            .select { |each| each.singleton_class.include?(Type) }
        types.each do |type|
          if type.missing.any?
            raise Incomplete,
              Messages["common.must_still", kind: type, missing: type.missing.join("; ")]
          end
        end
      end
      private_class_method :found

      # @param conventions [Conventions, nil] of the firm; nil for numbers as programs write them
      # @return [String] a value of any type as an expression's `&` writes it
      def self.show(value, conventions = nil)
        case value
        when nil then ""
        when String then value
        when BigDecimal then figures(value, conventions)
        when true, false then YesNo.word(nil, value)
        when ::Date then Date.show(value, nil)
        when ::Time then "#{Date.show(Calendar.date_of(value), nil)} #{value.strftime("%H:%M")}"
        when DayTime then value.to_s
        when Integer then "##{value}"
        when Array then value.map { |each| show(each, conventions) }.join(", ")
        end
      end

      # @return [String] a number with the firm's decimal mark
      def self.figures(value, conventions)
        text = Numbers.digits(Numbers.normalize(value))
        mark = conventions&.decimal_mark
        (mark && mark != ".") ? text.sub(".", mark) : text
      end
      private_class_method :figures

      # @return [Object] a value of any type as JSON can carry it: numbers as
      #   plain decimal text, dates and moments after ISO 8601
      def self.dump(value)
        case value
        when BigDecimal then Numbers.digits(Numbers.normalize(value))
        when ::Date, DayTime then value.iso8601
        when ::Time then value.iso8601(value.subsec.zero? ? 0 : 3)
        else value
        end
      end
    end
  end
end
