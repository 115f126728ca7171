# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      module Samples
        # Made-up words of which samples are put together. Nobody is called so.
        module Words
          FIRST = %w[
            Anwel
            Borin
            Celda
            Dovan
            Elsbet
            Farrin
            Gisla
            Haldo
            Ivetta
            Jorun
            Kelda
            Lorin
            Marwen
            Nessa
            Odrin
            Perla
            Quilla
            Rodan
            Selvi
            Tarn
            Ulmer
            Vessa
            Wenna
            Yorrin
            Zelma
          ].freeze
          LAST = %w[
            Ambry
            Breck
            Corvald
            Dunmore
            Eskel
            Fennimar
            Garrow
            Hexley
            Iverand
            Jessop
            Kettley
            Lorrimar
            Marsk
            Norvald
            Ostley
            Pennark
            Quarle
            Rennick
            Sorrel
            Tolvane
            Undry
            Vantry
            Westrick
            Yarrowby
            Zimmerly
          ].freeze
          PLAIN = %w[
            amber
            basin
            cedar
            drift
            ember
            fallow
            glaze
            hollow
            inlet
            jasper
            kiln
            linen
            meadow
            nettle
            ochre
            pebble
            quarry
            ripple
            saddle
            thistle
            umber
            velvet
            willow
            yarn
            zephyr
          ].freeze

          # What a label speaks of, told by parts of it.
          KINDS = {
            person: /\b(name|surname|person|maker|member|customer|contact|by)\b/,
            email: /mail/,
            phone: /phone|tel\b|mobile/,
            web: /\b(web|url|page|site)\b/
          }.freeze

          module_function

          # @param field [Design::Field]
          # @return [Symbol, nil]
          def kind(field)
            said = "#{field.label} #{field.key.tr("_", " ")}".downcase
            %i[email phone web person].find { |kind| said.match?(KINDS.fetch(kind)) }
          end

          # @param random [Random]
          # @return [String]
          def text(field, random)
            case kind(field)
            when :email
              "#{pick(FIRST, random)}.#{pick(LAST, random)}#{random.rand(1..999)}@made-up.example".downcase
            when :phone
              format("0%d 555 %04d", random.rand(1..9), random.rand(10_000))
            when :web
              "https://#{pick(PLAIN, random)}-#{pick(PLAIN, random)}.example"
            when :person
              "#{pick(FIRST, random)} #{pick(LAST, random)}"
            else
              "#{pick(PLAIN, random).capitalize} #{pick(PLAIN, random)} #{random.rand(1..999)}"
            end
          end

          # @return [String] some words in a sentence
          def sentence(random) = "#{Array.new(random.rand(4..9)) { pick(PLAIN, random) }.join(" ").capitalize}."

          def pick(list, random) = list[random.rand(list.length)]
        end
      end
    end
  end
end
