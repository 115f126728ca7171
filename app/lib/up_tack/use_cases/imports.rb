# frozen_string_literal: true

module UpTack
  module UseCases
    # Records from files: looked at first, tried on the rules, and then saved as one change.
    module Imports
      # How one column is taken over. column:: its name in the file
      # field:: key of the field; nil leaves the column out
      # dates:: "dmy", "mdy" or "ymd"; decimal:: "." or ","
      # unit:: what stands beside its numbers and is left out; nothing:: whether NA, NULL and the like are blank
      # round:: whether numbers with more figures than are kept are rounded to those
      Taken = Struct.new(:column, :field, :dates, :decimal, :unit, :nothing, :round, keyword_init: true)

      # How a file is taken over.
      # columns:: a Taken each
      # match:: key of the field by which records that are there are found; nil makes new ones
      # blanks:: "left", so that rules fill what a file leaves blank, or "kept" blank
      # as_was:: whether new records bring what rules have written down of earlier saves
      # keys:: KeyMap of links whose cells have keys of the file, nil for none
      Settings = Struct.new(:columns, :match, :blanks, :as_was, :keys, keyword_init: true)
    end
  end
end
