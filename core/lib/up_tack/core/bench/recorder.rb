# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Stands before the real records and keeps those that a trial looked at, so that a
      # proof can bring them along.
      class Recorder
        # @return [Boolean] whether there were more than are kept
        attr_reader :full

        # @param project [Design::Project]
        # @param records [#find] the port to the real ones
        def initialize(project, records)
          @project = project
          @records = records
          @seen = Hash.new { |hash, table| hash[table] = {} }
          @full = false
        end

        def find(table, id) = @records.find(table, id).tap { |values| note(table, id, values) }

        def each_linked(table, link, id, _keys = nil)
          # All fields are read, since the record is to be kept as a whole.
          @records.each_linked(table, link, id, nil) do |number, values|
            note(table, number, values)
            yield number, values
          end
        end

        def count_linked(table, link, id) = to_enum(:each_linked, table, link, id).count

        def title(table, id)
          find(table, id)
          @records.title(table, id)
        end

        def alike(table, text) = @records.alike(table, text)

        def named(table, text) = @records.named(table, text).each { |id| find(table, id) }

        def having(table, values, regard_case: false) =
          @records.having(table, values, regard_case: regard_case).each { |id| find(table, id) }

        def context=(context)
          @records.context = context
        end

        # @return [Hash{String=>Hash{String=>Hash{String=>Object}}}] plain values by table
        #   and number, without what is worked out and what is blank
        def records
          @seen
            .reject { |_, all| all.empty? }
            .to_h do |key, all|
              table = @project.table(key)
              fields = table.fields.reject { |field| table.worked_out?(field.key) }
              [
                key,
                all.sort.to_h do |id, values|
                  [
                    id.to_s,
                    fields
                      .reject { |field| values[field.key].nil? }
                      .to_h { |field| [field.key, field.values.dump(values[field.key])] }
                  ]
                end
              ]
            end
        end

        private

        def note(table, id, values)
          return if values.nil? || @seen[table].key?(id)
          return @full = true if @seen.sum { |_, all| all.length } >= Design::Script::MOST_RECORDS

          @seen[table][id] = values.to_h
        end
      end
    end
  end
end
