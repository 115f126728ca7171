# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Whether the change log holds.
      module Verdict
        module_function

        # @param verdict [Store::LogCheck::Verdict]
        def of(verdict)
          {
            sound: verdict.sound, entries: verdict.entries, broken: verdict.broken, why: verdict.why,
            set_back: verdict.set_back.map { |entry, seconds| {entry: entry, span: Clock.span(seconds)} }
          }
        end
      end
    end
  end
end
