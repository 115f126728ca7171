# frozen_string_literal: true

module UpTack
  # What people do with Up Tack, one class each: made with a Workspace, done
  # with `call`.
  module UseCases
    # A record as it is kept.
    # version:: number of its latest entry in the change log
    Record =
      Struct.new(:id, :version, :values) do
        def initialize(id: nil, version: nil, values: nil) = super(id, version, values)
      end

    # An answer to a wish to save.
    # state:: :saved, :refused, :conflict, or :linked when other records stand against a deletion
    # record:: the Record as it is now
    # outcome:: what came out of the core
    # theirs:: on a conflict, the entries that somebody else added meanwhile
    # reasons:: what stands against a deletion, in sentences
    Answer =
      Struct.new(:state, :record, :outcome, :theirs, :reasons, :standing, :lines, :table) do
        def initialize(
          state: nil,
          record: nil,
          outcome: nil,
          theirs: nil,
          reasons: nil,
          standing: nil,
          lines: nil,
          table: nil
        )
          super(state, record, outcome, theirs, reasons, standing, lines, table)
        end
      end
  end
end
