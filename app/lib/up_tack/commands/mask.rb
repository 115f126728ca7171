# frozen_string_literal: true

module UpTack
  module Commands
    # Says what a mask makes of a text, as a line of JSON:
    #
    #   uptack mask '2UPPER "-" 3DIGIT' 'kd01'
    #   {"text":"KD-01","complete":false,"message":"one more digit is missing"}
    #
    # A mistake in the mask goes to standard error as {"message":…,"from":…,"to":…}
    # with character offsets from 0, and the exit status is 1.
    class Mask < Command
      # @return [Integer] 0, or 1 after a mistake
      def call(mask:, text:)
        mask, text = [mask, text].map { |argument| argument.dup.force_encoding(Encoding::UTF_8) }
        unless mask.valid_encoding? && text.valid_encoding?
          return fail_with(Core::Messages["commands.mask.mask_and_text_must_be_valid_utf"])
        end

        print_fit(Core::Masks.read(mask), text.unicode_normalize(:nfc))
      rescue Core::Masks::Invalid => e
        fail_with(e.message, e.from, e.to)
      end

      private

      def print_fit(mask, text)
        problem = Core::Masks::ClientMask.problem(mask)
        return fail_with(problem) if problem

        found = mask.fit(text)
        @out.puts JSON.generate(text: found.text, complete: found.complete, message: found.message)
        0
      end

      def fail_with(message, from = 0, to = 0)
        @err.puts JSON.generate(message: message, from: from, to: to)
        1
      end
    end
  end
end
