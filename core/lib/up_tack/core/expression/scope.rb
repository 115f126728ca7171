# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The names that a formula may use: the fields of one table by their keys,
      # the tables whose records link to it, and, inside an aggregate's
      # condition, the names of the record outside.
      class Scope
        # One field as an expression sees it.
        # show:: turns a value into its reading format
        # target:: for a link, gives the Scope of the table it points to
        # reverse:: for a link, what the linked side calls the records that point to it
        # computed:: for a field that is never kept, gives what works it out: a
        #   lambda from an Evaluation to the value; nil for every other field
        Entry =
          Struct.new(:key, :label, :type, :choices, :show, :target, :reverse, :computed, keyword_init: true) do
            def link? = type == :link
          end

        # The records of another table whose link points here.
        Reverse =
          Struct.new(:scope, :link, keyword_init: true) do
            # @return [String] what people call them
            def label = link.reverse
          end

        # What `user.` knows of the acting person.
        PERSON = {
          "name" => "person signed in",
          "email" => "e-mail of the person signed in",
          "role" => "role of the person signed in"
        }.freeze
        # The number of a linked record, which every table has without a field.
        NUMBER = Entry.new(key: "id", label: "number", type: :number, show: Values.method(:show)).freeze

        # @param values [Hash{String=>Object}] values whose types are taken as found
        # @return [Scope]
        def self.of_values(values)
          new(
            values.map do |key, value|
              Entry.new(key: key.downcase, label: key, type: Values::Types.type_of(value), show: Values.method(:show))
            end
          )
        end

        # key, label:: of the table, nil for loose values
        # one:: what a record of the table is called, nil where that is not known
        # title:: key of the field by which people know a record of it
        # outer:: the Scope around an aggregate, nil elsewhere
        # conventions:: how the firm writes numbers
        # tolerant:: whether formulas may have what only earlier versions let them have
        # aliases:: keys that fields had before, each with the one that it has now
        # names:: keys of the table, the present one and those that it had before
        attr_reader :entries, :key, :label, :one, :title, :outer, :conventions, :tolerant, :aliases, :names

        # @param reverses [Proc, nil] gives the Reverses, asked when they are needed
        def initialize(
          entries,
          key: nil,
          label: nil,
          one: nil,
          title: nil,
          reverses: nil,
          outer: nil,
          conventions: Conventions.from({}),
          tolerant: false,
          aliases: {},
          names: [key]
        )
          @entries = entries.to_h { |entry| [entry.key, entry] }
          @key = key
          @label = label
          @one = one
          @title = title
          @reverses = reverses
          @outer = outer
          @conventions = conventions
          @tolerant = tolerant
          @aliases = aliases
          @names = names
        end

        # @return [Entry, nil]
        def [](key) = entries[key.downcase]

        # @return [Array<Reverse>] what links here
        def reverses = @reverses ? @reverses.call : []

        # @return [Scope] the same inside an aggregate of another
        def within(outer)
          copy(Scope, outer)
        end

        # @param name [String]
        # @return [Boolean] whether the table is called so
        def called?(name) = key == name

        # @return [Scope] the same, in which fields and tables are found by keys that they had before as well.
        #   For finding names alone: nothing can be calculated by it.
        def with_aliases = copy(Former, outer&.with_aliases)

        # @yield [table, field] keys, the field nil for the table itself; whether it is there
        # @return [Scope] the same in which only some of it is there, along links too
        def only(&there)
          left =
            entries
              .values
              .select { |entry| there.call(key, entry.key) }
              .map do |entry|
                entry.link? ? Entry.new(**entry.to_h, target: -> { entry.target.call.only(&there) }) : entry
              end
          linked = -> do
            reverses
              .select { |each| there.call(each.scope.key, nil) && there.call(each.scope.key, each.link.key) }
              .map { |each| Reverse.new(scope: each.scope.only(&there), link: each.link) }
          end
          Scope.new(
            left,
            key: key,
            label: label,
            one: one,
            title: title,
            reverses: linked,
            outer: outer&.only(&there),
            conventions: conventions,
            tolerant: tolerant,
            aliases: aliases.select { |_, field| there.call(key, field) },
            names: names
          )
        end

        # A scope in which fields and tables are found by former keys.
        class Former < Scope
          def [](key)
            entry = super || super(aliases[key.downcase].to_s)
            entry&.link? ? Entry.new(**entry.to_h, target: -> { entry.target.call.with_aliases }) : entry
          end

          def reverses = super.map { |each| Reverse.new(scope: each.scope.with_aliases, link: each.link) }
          def called?(name) = names.include?(name)
          def within(outer) = copy(Former, outer)
          def with_aliases = self
        end

        # @return [Entry, nil] the field whose key or label is nearest to the name
        def nearest(name)
          by_key = Spelling.nearest(name.downcase, entries.keys)
          return entries[by_key] if by_key

          label = Spelling.nearest(name.downcase, entries.values.map { |entry| entry.label.downcase })
          entries.values.find { |entry| entry.label.downcase == label }
        end

        # @return [Entry, nil] a field to show when one must be picked: that by which people know a record
        def example = self[title.to_s] || entries.values.find { |entry| entry.type == :text } || entries.values.first

        private

        def copy(kind, outer)
          kind.new(
            entries.values,
            key: key,
            label: label,
            one: one,
            title: title,
            reverses: @reverses,
            outer: outer,
            conventions: conventions,
            tolerant: tolerant,
            aliases: aliases,
            names: names
          )
        end
      end
    end
  end
end
