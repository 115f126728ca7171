# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Why a record is not saved.
      # code:: for programs, such as "required", "check" or "not_a_date"
      # rule:: id of the rule, nil for input that is no value of its type
      # field:: key of the field to mend; fields:: all that are concerned
      # message:: for people
      # passable:: whether it is a warning, which a reason passes
      Refusal = Struct.new(:code, :rule, :field, :fields, :message, :passable, keyword_init: true) do
        def initialize(passable: false, **rest) = super
      end
    end
  end
end
