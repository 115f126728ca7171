# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # What one run of a formula can see: the record's values, its values
      # before this save, whether it is new, and the context's clock and person.
      class Evaluation
        # values:: the record as it is now, by field key
        # old:: the stored record, empty when there is none
        # context:: a Save::Context
        # notes:: what went wrong without stopping, as [code, sentence]
        attr_reader :values, :old, :context, :notes

        def initialize(values:, context:, old: {}, is_new: true)
          @values = values
          @old = old
          @context = context
          @is_new = is_new
          @notes = []
        end

        def new? = @is_new

        # Keeps a note for the trace.
        # @return [nil] so that the result is blank
        def note(code, sentence)
          @notes << [code, sentence]
          nil
        end
      end
    end
  end
end
