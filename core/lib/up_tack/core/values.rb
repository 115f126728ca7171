# frozen_string_literal: true

module UpTack
  module Core
    # The types that a field can have. Each type is one file in values/ and
    # answers the same few questions:
    #
    # key::     its name in the design, such as "yes_no"
    # label::   its name on screen
    # kind::    what it is in an expression (:text, :number, :date, :time, :yes_no, :link)
    # column::  the kind of column that stores it
    # read(raw, field, reading)::  what was typed or sent, as a value, nil for
    #   blank, or an Unreadable with a message for people
    # show(value, field)::  the value in its reading format
    # edit(value, field)::  as one would type it, where that is another than show
    # FORMAT::  what of its reading format can be set
    # dump(value) and load(plain)::  to and from JSON, without loss
    module Values
      # The answer to something typed that is no value of the type.
      # code:: for programs; message:: for people, a whole sentence
      Unreadable = Struct.new(:code, :message, keyword_init: true)

      # @param key [String]
      # @return [Module] the type
      # @raise [KeyError] for a name that is no type
      def self.[](key) = all.fetch(key)

      # @return [Hash{String=>Module}] the types by key, in the order in which they are offered
      def self.all
        @all ||=
          [Text, LongText, Number, Date, Time, Moment, YesNo, Choice, Link].to_h { |type| [type.key, type] }.freeze
      end

      # @param conventions [Conventions, nil] of the firm; nil for numbers as programs write them
      # @return [String] a value of any type as an expression's `&` writes it
      def self.show(value, conventions = nil)
        case value
        when nil then ""
        when String then value
        when BigDecimal then figures(value, conventions)
        when true, false then YesNo.word(nil, value)
        when ::Date then Date.show(value, nil)
        when ::Time then "#{Date.show(Calendar.of(value), nil)} #{value.strftime("%H:%M")}"
        when DayTime then value.to_s
        when Integer then "No. #{value}"
        when Array then value.map { |each| show(each, conventions) }.join(", ")
        end
      end

      # @return [String] a number with the firm's decimal mark
      def self.figures(value, conventions)
        text = Numbers.plain(Numbers.settle(value))
        mark = conventions&.decimal_mark
        (mark && mark != ".") ? text.sub(".", mark) : text
      end
      private_class_method :figures

      # @return [Object] a value of any type as JSON can carry it: numbers as
      #   plain decimal text, dates and moments after ISO 8601
      def self.dump(value)
        case value
        when BigDecimal then Numbers.plain(Numbers.settle(value))
        when ::Date, DayTime then value.iso8601
        when ::Time then value.iso8601(value.subsec.zero? ? 0 : 3)
        else value
        end
      end
    end
  end
end
