# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # What somebody wants to save.
      # typed:: raw input by field key, for the fields that the person or the
      #   program gave; an empty text clears a field on purpose
      # stored:: the record's values as they are kept, nil for a new record
      # id:: the record's number, nil for a new record
      Draft = Struct.new(:typed, :stored, :id, keyword_init: true) do
        def new? = stored.nil?
      end
    end
  end
end
