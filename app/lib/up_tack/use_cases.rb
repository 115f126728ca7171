# frozen_string_literal: true

module UpTack
  # What people do with Up Tack, one class each: made with a Workspace, done
  # with `call`.
  module UseCases
    # A record as it is kept.
    # version:: number of its latest entry in the change log
    Record = Struct.new(:id, :version, :values, keyword_init: true)

    # An answer to a wish to save.
    # state:: :saved, :refused, :conflict, or :linked when other records stand against a deletion
    # record:: the Record as it is now
    # outcome:: what came out of the core
    # theirs:: on a conflict, the entries that somebody else added meanwhile
    # reasons:: what stands against a deletion, in sentences
    Answer = Struct.new(:state, :record, :outcome, :theirs, :reasons, :standing, :lines, :table, keyword_init: true)
  end
end
