# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # What one run of a formula can see: the record's values, its values
      # before this save, whether it is new, and the context's clock and person.
      class Evaluation
        # values:: the record as it is now, by field key; fields that are never
        #   kept may be missing and are then worked out when they are read
        # old:: the stored record, empty when there is none
        # context:: a Context
        # id:: the record's number, nil for one that has none yet
        # outer:: the Evaluation of the record outside, inside an aggregate
        # notes:: what went wrong without stopping, as [code, sentence]
        # probe:: takes note of what is evaluated, nil mostly
        attr_reader :values, :old, :context, :id, :outer, :probe

        def initialize(values:, context:, old: {}, is_new: true, id: nil, outer: nil, notes: nil)
          @values = values
          @old = old
          @context = context
          @probe = context&.probe
          @is_new = is_new
          @id = id
          @outer = outer
          @notes = notes
        end

        # What `counter(…)` writes: a whole number, or a text that marks its place.
        attr_writer :count

        NONE = [].freeze
        private_constant :NONE

        # @return [String, nil] the count with at least so many digits
        def counted(digits) = @count.is_a?(Integer) ? @count.to_s.rjust(digits, "0") : @count

        def new? = @is_new

        # @return [Object, nil] a value of the record that is already worked out
        def value(key) = values.fetch(key) { nil }

        # @return [Evaluation] the same with another value in one field
        def with(key, value)
          Evaluation.new(
            values: Replaced.new(values, key, value),
            old: old,
            context: context,
            is_new: new?,
            id: id,
            outer: outer
          )
        end

        # The values of a record, but for one.
        Replaced = Struct.new(:values, :changed, :value) do
          def [](key) = (key == changed) ? value : values[key]

          def fetch(key, &block) = (key == changed) ? value : values.fetch(key, &block)

          def key?(key) = key == changed || values.key?(key)
        end

        def notes = @notes ||= []

        # @return [Array<Array>] the same to be looked at only
        def noted = @notes || NONE

        # @return [Boolean] whether no run has left anything in it
        def unmarked? = @notes.nil? || @notes.empty?

        # @param id [Integer] of a record of another table
        # @param values [Hash{String=>Object}]
        # @return [Evaluation] seen from there; notes are kept together
        def linked(id, values)
          Evaluation.new(
            values: values,
            old: values,
            context: context,
            is_new: false,
            id: id,
            outer: self,
            notes: notes
          )
        end

        # @return [Evaluation] the record as it was before this save
        def before
          Evaluation.new(values: old, old: old, context: context, is_new: false, id: id, outer: outer, notes: notes)
        end

        # Keeps a note for the trace.
        # @return [nil] so that the result is blank
        def note(code, sentence)
          notes << [code, sentence]
          nil
        end
      end
    end
  end
end
