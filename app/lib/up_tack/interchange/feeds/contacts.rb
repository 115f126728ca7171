# frozen_string_literal: true

module UpTack
  module Interchange
    module Feeds
      # People as vCards 4.0, after RFC 6350.
      module Contacts
        TYPE = "text/vcard"
        # Bytes of a line without its end (section 3.2).
        LINE = 75

        # name:: as it is written; properties:: [name with its parameters, text or Date or Array of texts] each
        Card = Struct.new(:uid, :name, :properties, keyword_init: true)

        module_function

        # @param cards [Enumerable<Card>]
        # @param io [#<<]
        # @return [void]
        def write(cards, io)
          cards.each do |card|
            line(io, "BEGIN", "VCARD")
            line(io, "VERSION", "4.0")
            line(io, "UID", card.uid)
            line(io, "FN", escaped(card.name))
            card.properties.each { |name, value| line(io, name, text(value)) }
            line(io, "END", "VCARD")
          end
        end

        # Lines are folded between characters, never within one.
        def line(io, name, value)
          rest = "#{name}:#{value}"
          first = true
          until rest.empty?
            part = rest.byteslice(0, first ? LINE : LINE - 1).scrub("")
            io << (first ? "" : " ") << part << "\r\n"
            rest = rest.byteslice(part.bytesize..)
            first = false
          end
        end

        def text(value)
          case value
          when Array then value.map { |part| escaped(part.to_s) }.join(";")
          when Date then value.strftime("%Y%m%d")
          else escaped(value.to_s)
          end
        end

        # Section 3.4.
        def escaped(text) = text.gsub(/[\\,;]/) { |mark| "\\#{mark}" }.gsub(/\r\n?|\n/, "\\n")
      end
    end
  end
end
