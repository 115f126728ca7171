# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A pattern for numbers after Unicode CLDR (UTS #35): one place for the figures, such as
      # `#,##0.00`, and text around it. `%` multiplies by a hundred.
      class NumberPattern
        FIGURES = /[#0][#0,]*(?:\.[0#]+)?/
        QUOTED = /'(?:[^']|'')*'/
        # Signs that mean something in a pattern, so that outside quotes they are no text.
        RESERVED = /[#0;]/

        # @param pattern [String] whose quotes are closed
        def initialize(pattern)
          @pattern = pattern
          # Quoted text is blanked out, so that nothing in it is taken for a place for figures.
          @bare = pattern.gsub(QUOTED) { |text| "'" * text.length }
          @place = FIGURES.match(@bare)
        end

        # @return [nil]
        # @raise [Values::Patterns::Invalid]
        def check
          raise needs_figures unless @place

          second = @bare.index(RESERVED, @place.end(0)) || @bare[0...@place.begin(0)].index(RESERVED) or return
          message = if @bare[second] == ";"
            Messages["values.number_pattern.pattern_for_number_has_one_part"]
          else
            Messages["values.number_pattern.pattern_for_number_has_one_place"]
          end
          raise Values::Patterns::Invalid.new(message, second, @pattern.length)
        end

        # @param value [BigDecimal]
        # @param conventions [Conventions, nil]
        # @return [String]
        # @raise [Values::Patterns::Invalid]
        def write(value, conventions)
          raise needs_figures unless @place

          written = figures(@bare.include?("%") ? value * 100 : value)
          sign = (value.negative? && written.match?(/[1-9]/)) ? "-" : ""
          before = unquoted(@pattern[0...@place.begin(0)])
          "#{sign}#{before}#{marked(written, conventions)}#{unquoted(@pattern[@place.end(0)..])}"
        end

        private

        def needs_figures
          Values::Patterns::Invalid.new(Messages["values.number_pattern.pattern_for_number_needs_0"], 0,
            @pattern.length)
        end

        # @return [String] with "," between thousands and "." before decimals
        def figures(value)
          whole_shape, decimals_shape = @place[0].split(".")
          decimals_shape = decimals_shape.to_s
          rounded = Numbers.round(value.abs, decimals_shape.length)
          whole, decimals = Numbers.digits(rounded).split(".")
          decimals = decimals.to_s.ljust(decimals_shape.count("0"), "0")
          whole = whole.sub(/\A0\z/, "").rjust(whole_shape.count("0"), "0")
          whole = whole.gsub(/(\d)(?=(\d{3})+\z)/, "\\1,") if whole_shape.include?(",")
          decimals.empty? ? whole : "#{whole}.#{decimals}"
        end

        def marked(figures, conventions)
          return figures unless conventions

          figures
            .tr(",.", "\u0001\u0002")
            .gsub("\u0001") { conventions.group_mark }
            .gsub("\u0002") { conventions.decimal_mark }
        end

        def unquoted(text) = text.gsub(/''|'([^']*)'/) { $1 || "'" }
      end
    end
  end
end
