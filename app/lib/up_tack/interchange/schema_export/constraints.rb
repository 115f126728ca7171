# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # What the rules of a table say of single fields, as schemas know it: required, unique,
      # bounds, lists, lengths and fixed defaults. `rest` are the rules of which that is not
      # the whole.
      class Constraints
        # Of one field. Values are those of the core, nil where nothing is said.
        Field =
          Struct.new(:required, :unique, :least, :greatest, :among, :shortest, :longest, :default, keyword_init: true)

        # @return [Array<Core::Rules::Rule>]
        attr_reader :rest

        # @param table [Core::Design::Table]
        def initialize(table)
          @table = table
          @fields =
            table.fields.to_h do |field|
              [field.key, Field.new(among: (field.open_choices + field.retired if field.listed?))]
            end
          @rest = table.rules.reject { |rule| expressible?(rule) }
        end

        # @return [Field]
        def find(key) = @fields.fetch(key)

        private

        def expressible?(rule)
          found = rule.constraint(@table) or return false
          entry = @fields.fetch(rule.field)
          found.each { |part, value| entry[part] = value }
          true
        end
      end
    end
  end
end
