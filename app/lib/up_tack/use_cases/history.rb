# frozen_string_literal: true

module UpTack
  module UseCases
    # Looking back: entries of the change log by what they are about, and putting
    # back what they tell of.
    module History
      # What is asked for; nil for what does not matter.
      # table:: Core::Design::Table; record:: its number; person:: a number
      # field, rule:: ids; channel:: one of Store::Entry::CHANNELS; batch:: a number
      # from, to:: moments in UTC, the second not included
      Question = Struct.new(:table, :record, :person, :field, :rule, :channel, :batch, :from, :to, keyword_init: true)
    end
  end
end
