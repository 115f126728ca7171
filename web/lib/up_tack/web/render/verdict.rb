# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Whether the change log holds.
      module Verdict
        module_function

        # What is told to those who may not see everything.
        SILENT = Core::Messages["web.verdict.does_not_hold"]

        # @param verdict [Store::LogCheck::Verdict]
        # @param whole [Boolean] whether what does not hold may be named
        def render(verdict, whole:)
          shown = whole ? verdict.faults : verdict.faults.first(1).map { SILENT }
          {
            sound: verdict.sound,
            entries: verdict.entries,
            events: verdict.events,
            broken: verdict.broken,
            why: shown.first,
            faults: shown,
            set_back: verdict.set_back.map { |entry, seconds| {entry: entry, span: Clock.span(seconds)} }
          }
        end
      end
    end
  end
end
