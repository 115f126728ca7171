# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The names that a formula may use: the fields of one table by their keys.
      class Scope
        # One field as an expression sees it.
        # show:: turns a value into its reading format
        Entry = Struct.new(:key, :label, :type, :choices, :show, keyword_init: true)

        # What `user.` knows of the acting person.
        PERSON = {"name" => "person signed in", "email" => "e-mail of the person signed in", "role" => "role of the person signed in"}.freeze

        # @param fields [Array<Design::Field>]
        # @return [Scope]
        def self.of_fields(fields)
          new(fields.map do |field|
            Entry.new(key: field.key, label: field.label, type: field.kind, choices: (field.choices if field.type == "choice"), show: ->(value) { field.show(value) })
          end)
        end

        # @param values [Hash{String=>Object}] values whose types are taken as found
        # @return [Scope]
        def self.of_values(values)
          new(values.map do |key, value|
            Entry.new(key: key.downcase, label: key, type: Types.of(value), show: Values.method(:show))
          end)
        end

        attr_reader :entries

        def initialize(entries)
          @entries = entries.to_h { |entry| [entry.key, entry] }
        end

        # @return [Entry, nil]
        def [](key) = entries[key.downcase]

        # @return [Entry, nil] the field whose key or label is nearest to the name
        def nearest(name)
          by_key = Spelling.nearest(name.downcase, entries.keys)
          return entries[by_key] if by_key

          label = Spelling.nearest(name.downcase, entries.values.map { |entry| entry.label.downcase })
          entries.values.find { |entry| entry.label.downcase == label }
        end
      end
    end
  end
end
