# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The records that a trial sees: those that it makes or changes, held in memory
      # over those beneath. It is the core's port to other records, and nothing that is
      # written to it goes any further. Values that follow from other records are worked
      # out when they are read, so that none is ever stale.
      class RecordOverlay
        # @return [Context] in which values are worked out
        attr_reader :context

        # @param ground [Save::CompiledProject]
        # @param records [Hash{String=>Hash{Integer=>Hash{String=>Object}}}] values by table and number
        # @param beneath [#find] the port to the records beneath
        # @param following [Proc, nil] gives the number of the next record of a table
        def initialize(ground, records: {}, beneath: Ports::NoRecords, following: nil)
          @ground = ground
          @beneath = beneath
          @following = following
          @own = Hash.new { |hash, table| hash[table] = {} }
          records.each { |table, all| all.each { |id, values| @own[table][id] = loose(table, values) } }
          @dirty = @own.any?
        end

        def context=(context)
          @context = context
          @beneath.context = context
        end

        # @return [Hash{String=>Object}, nil]
        def find(table, id)
          own = @own[table]
          own.key?(id) ? own[id] : visible(table, @beneath.find(table, id))
        end

        # @yield [id, values]
        def each_linked(table, link, id, keys = nil)
          own = @own[table]
          overlaid = []
          @beneath.each_linked(table, link, id, keys) do |number, values|
            next yield(number, visible(table, values)) unless own.key?(number)

            overlaid << number
            yield(number, own[number]) if own[number] && own[number][link] == id
          end
          own.each { |number, values|
            yield(number, values) if values && values[link] == id && !overlaid.include?(number)
          }
        end

        # @return [Integer]
        def count_linked(table, link, id) = to_enum(:each_linked, table, link, id, []).count

        # @return [String, nil]
        def title(table, id)
          values = find(table, id)
          values && Save::RecordTitle.find(@ground.project.table(table), id, values, context)
        end

        # @return [Array<Integer>]
        def named(table, text)
          folded = Unicode.folded(text)
          beneath(table, @beneath.named(table, text)) +
            present(table).select { |id, _| Unicode.folded(title(table, id)) == folded }.map(&:first)
        end

        # @return [Integer]
        def alike(table, text)
          own = present(table).count { |id, _| Unicode.words_in?(text, title(table, id)) }
          [@beneath.alike(table, text) + own, 10].min
        end

        # @return [Array<Integer>]
        def having(table, values, regard_case: false)
          alike = ->(value) { (value.is_a?(String) && !regard_case) ? Unicode.folded(value) : value }
          own = present(table).select do |id, record|
            whole = (values.each_key.all? { |key| record.key?(key) }) ? record : complete(table, id, record)
            values.all? { |key, value| alike.call(whole[key]) == alike.call(value) }
          end
          beneath(table, @beneath.having(table, values, regard_case: regard_case)) + own.map(&:first)
        end

        # @return [Hash{String=>Object}] a record with all that is worked out of it
        def complete(table, id, values = find(table, id))
          all = values.is_a?(Hash) ? values : values.to_h
          @ground.plan(table).complete(id, all, context)
        end

        # @return [Integer] the number of a record that is written now
        def write(table, id, values)
          id ||= following(table)
          @dirty = true
          @own[table][id] = loose(table, values)
          id
        end

        def delete(table, id)
          @dirty = true
          @own[table][id] = nil
        end

        # Runs the block and takes back what it wrote, unless it gives true.
        def trying
          before = @own.transform_values(&:dup)
          kept = yield
        ensure
          unless kept == true
            @own.clear
            before.each { |table, records| @own[table] = records }
          end
        end

        # @return [Array<Array(Integer, Hash)>] the records that it holds itself
        def present(table) = @own[table].reject { |_, values| values.nil? }.to_a

        private

        def following(table)
          highest = @own[table].keys.select { |id| id < DetailRows::NEW }.max || 0
          @following ? [@following.call(table), highest + 1].max : highest + 1
        end

        def beneath(table, ids) = ids.reject { |id| @own[table].key?(id) }

        # What is worked out is left open, so that whoever reads it gets it fresh.
        def loose(table, values)
          design = @ground.project.table(table)
          values.to_h.reject { |key, _| design.worked_out?(key) }
        end

        def visible(table, values)
          return values if values.nil? || !@dirty || @ground.crossing(table).empty?

          values.to_h.except(*@ground.crossing(table))
        end
      end
    end
  end
end
