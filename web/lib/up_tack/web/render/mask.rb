# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A mask while it is put together.
      module Mask
        module_function

        # @param mask [String, nil] in the shape of ABNF
        # @param pieces [Array, nil] instead of it
        # @param example [String, nil] instead of both: readings of it
        # @param text [String, nil] what is typed by it, as a trial
        # @param bare [Boolean, nil] whether separators are left out in the store
        def render(mask: nil, pieces: nil, example: nil, text: nil, bare: nil)
          return nothing.merge(readings: readings(example)) if example

          mask = Core::Masks::Writer.from_pieces(pieces) if pieces.is_a?(Array)
          found = Core::Masks.read(mask.to_s)
          problem = Core::Masks::ClientMask.problem(found, bare: bare == true)
          known(mask, found, text.to_s, problem)
        rescue Core::Masks::Invalid => e
          nothing.merge(mask: mask.to_s, problem: {part: "mask", message: e.message, from: e.from, to: e.to})
        end

        # @return [Hash] for a list
        def line(text)
          mask = Core::Masks.read(text)
          {mask: text, words: mask.words, sample: Core::Masks::Examples.sample(mask)}
        end

        def nothing =
          {
            mask: "",
            words: nil,
            sample: nil,
            pieces: [],
            problem: nil,
            fit: nil,
            stored: nil,
            readings: [],
            compiled: nil
          }

        def known(text, mask, typed, problem)
          facts = {mask: text, words: mask.words, pieces: Core::Masks::Writer.pieces(mask.parts), readings: []}
          return nothing.merge(facts, problem: {part: "mask", message: problem, from: nil, to: nil}) if problem

          fit = mask.fit(typed.unicode_normalize(:nfc))
          nothing.merge(
            facts,
            sample: Core::Masks::Examples.sample(mask),
            compiled: Core::Masks::ClientMask.compiled(mask),
            fit: fit.to_h.except(:half),
            stored: fit.complete ? mask.bare(fit.text) : nil
          )
        end

        def readings(example)
          text = example.to_s
          Core::Masks::Examples.readings(text).map { |mask| line(mask) }
        end
      end
    end
  end
end
