# frozen_string_literal: true

module UpTack
  module Core
    # Decision tables: what a cell means, tables as text (CSV and what is copied
    # from a spreadsheet), and what is wrong with one as a whole.
    module Decisions
    end
  end
end
