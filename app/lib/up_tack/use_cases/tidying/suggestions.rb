# frozen_string_literal: true

module UpTack
  module UseCases
    module Tidying
      # All texts of a table that its clean-ups would change, those that somebody
      # ignored left out.
      class Suggestions
        # One text. id, title:: of the record; before, after:: the text
        Suggestion = Struct.new(:id, :title, :field, :before, :after, keyword_init: true)

        def initialize(workspace, table)
          @workspace = workspace
          @table = table
          @fields =
            workspace.visibility.fields(table).filter_map { |field| (rules = rules_on(field)).any? && [field, rules] }
        end

        # @return [Boolean] whether anything could be suggested here
        def any_rules? = @fields.any?

        # @yield [id, field, before, after] each, in the order of the records
        def each
          return if @fields.empty?

          ignored = Store::DismissedSuggestion.in_table(@table)
          Store::RecordTable.new(@table).each_batch(keys: @fields.map { |field, _| field.key }) do |batch|
            batch.each do |id, values|
              @fields.each do |field, rules|
                before = values[field.key] or next
                after = rules.reduce(before) { |text, rule| text && rule.run(text) }
                yield id, field, before, after unless after == before || ignored[[field.id, id]] == before
              end
            end
          end
        end

        # @return [Integer]
        def count
          count = 0
          each { count += 1 }
          count
        end

        # @param offset [Integer] how many to leave out
        # @return [Array(Array<Suggestion>, Integer)] a page of them, and how many there are
        def page(offset: 0, limit: 100)
          count = 0
          found = []
          each do |id, field, before, after|
            if count >= offset && found.length < limit
              found << Suggestion.new(id: id, field: field, before: before, after: after)
            end
            count += 1
          end
          [titled(found), count]
        end

        private

        def rules_on(field) = @table.rules.select(&:tidies?).select { |rule| rule.field == field.key }

        def titled(found)
          context = @workspace.context
          values = Store::RecordTable.new(@table).find_all(found.map(&:id).uniq)
          found.each do |each|
            each.title = Core::Save::RecordTitle.find(@table, each.id, values.fetch(each.id), context)
          end
        end
      end
    end
  end
end
