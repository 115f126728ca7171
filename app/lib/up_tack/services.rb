# frozen_string_literal: true

module UpTack
  # What use cases share: taking records through the rules and writing them, views of
  # tables, what people may do. No use case calls another one for these.
  module Services
    # A record as it is kept.
    # version:: number of its latest entry in the change log
    StoredRecord =
      Struct.new(:id, :version, :values) do
        def initialize(id: nil, version: nil, values: nil) = super(id, version, values)
      end

    # What came of a wish to save.
    # state:: :saved, :refused, :conflict, or :linked when other records stand against a deletion
    # record:: the StoredRecord as it is now
    # outcome:: what came out of the core
    # theirs:: on a conflict, the entries that somebody else added meanwhile
    # reasons:: what stands against a deletion, in sentences
    # form_state:: how the fields of the form stand; lines:: what came of the lines beneath it; table:: its key
    SaveResult =
      Struct.new(:state, :record, :outcome, :theirs, :reasons, :form_state, :lines, :table) do
        def initialize(
          state: nil,
          record: nil,
          outcome: nil,
          theirs: nil,
          reasons: nil,
          form_state: nil,
          lines: nil,
          table: nil
        )
          super(state, record, outcome, theirs, reasons, form_state, lines, table)
        end
      end
  end
end
