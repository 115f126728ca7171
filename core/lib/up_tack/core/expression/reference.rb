# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # A place of a formula at which a field, or a table, is named.
      # table:: key of the table
      # key:: key of the field; nil where the table itself is named
      # steps:: Steps from the record that the formula belongs to, to the record
      #   whose field is read
      # before:: whether the stored value is meant (`old.`)
      # from, to:: place of the name
      Reference = Struct.new(:table, :key, :steps, :before, :from, :to, keyword_init: true) do
        # @return [Boolean] whether the record's own present value is read
        def own? = !key.nil? && !before && steps.empty?
      end

      # One step from a record to others.
      # kind:: :link to the one record that a link points to, :linked to all that point here
      # table:: key of the table whose field the link is
      # key:: key of the link
      # target:: key of the table that the step leads to
      Step = Struct.new(:kind, :table, :key, :target, keyword_init: true)
    end
  end
end
