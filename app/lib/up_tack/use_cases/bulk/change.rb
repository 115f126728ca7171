# frozen_string_literal: true

module UpTack
  module UseCases
    module Bulk
      # Does the same with many records of a table: changes fields, deletes, copies, gives
      # numbers or tidies.
      class Change
        KINDS = %w[change delete copy number tidy].freeze
        # Records at most in one go.
        MOST = 1_000_000

        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param table [String] key
        # @param kind [String] one of KINDS
        # @param ids [Array<Integer>, nil] the records; nil for all that the filter lets through
        # @param filter [String, nil] and search: as View takes them
        # @param typed [Hash{String=>Object}] raw input by field key, for "change"
        # @param keep [String] one of Bulk::KEEP
        # @return [Report]
        # @raise [Core::Invalid, Services::NotAllowed, Recalculation::Stopped]
        def call(table:, kind:, ids: nil, filter: nil, search: nil, typed: {}, keep: "all")
          unless KINDS.include?(kind)
            Core::Invalid.because(Core::Messages["bulk.change.do_is_one_of", kinds: KINDS.join(", ")],
              part: "do")
          end
          @view = Services::View.new(@workspace, table, filter: filter, search: search)
          @table = @view.table
          @ids = (ids || @view.selection.ids).uniq
          Core::Invalid.because(Core::Messages["bulk.change.no_records_are_chosen"], part: "ids") if @ids.empty?
          if @ids.length > MOST
            Core::Invalid.because(
              Core::Messages["bulk.change.records_can_be_changed_at_once", most: Core::Values::Plain.grouped(MOST)],
              part: "ids"
            )
          end
          if kind == "delete"
            return Delete.new(@workspace, progress: @progress).call(table: @table, ids: @ids, keep: keep)
          end

          write(kind, typed, keep)
        end

        private

        def write(kind, typed, keep)
          drafts, summary = drafts(kind, typed)
          Write.new(@workspace, channel: (kind == "tidy") ? "tidy" : "bulk", progress: @progress).call(
            table: @table.key,
            drafts: drafts,
            summary: summary,
            keep: keep,
            total: @ids.length
          )
        end

        # @return [Array(Enumerable<Hash>, String)] what is to be written, and in words
        def drafts(kind, typed)
          case kind
          when "change" then change_drafts(typed)
          when "copy" then copy_drafts
          when "number" then number_drafts
          else tidy_drafts
          end
        end

        def change_drafts(typed)
          if typed.empty?
            Core::Invalid.because(Core::Messages["bulk.change.say_which_field_is_to_be_changed"],
              part: "typed")
          end
          Services::Fields.check(@table, typed, @workspace.visibility)
          [
            @ids.lazy.map { |id| {typed: typed, id: id} },
            Core::Wording["%{fields} of %{records} changed", fields: labels(typed), records: counted]
          ]
        end

        # A copy is like one made by hand: it gets numbers of its own.
        def copy_drafts
          rows = Store::RecordTable.new(@table)
          [@ids.lazy.map { |id|
            {typed: Core::Bench::Copying.values(@table, rows.find(id) || {})}
          }, Core::Wording["%{records} copied", records: counted]]
        end

        def number_drafts
          if @table.rules.none?(&:numbers?)
            Core::Invalid.because(
              Core::Messages["bulk.change.no_field_of_is_numbered", table: @table.label],
              part: "do"
            )
          end
          [@ids.lazy.map { |id|
            {typed: {}, id: id, numbering: true}
          }, Core::Wording["Numbers assigned to %{records}", records: counted]]
        end

        def tidy_drafts
          wanted = Hash.new { |hash, id| hash[id] = {} }
          chosen = @ids.to_set
          suggestions = Tidying::Suggestions.new(@workspace, @table)
          unless suggestions.any_rules?
            Core::Invalid.because(
              Core::Messages["bulk.change.no_clean_up_is_pinned", table: @table.label],
              part: "do"
            )
          end
          suggestions.each { |id, field, _, after| wanted[id][field.key] = after if chosen.include?(id) }
          [@ids.lazy.map { |id|
            {typed: wanted.fetch(id, {}), id: id}
          }, Core::Wording["%{records} cleaned up", records: counted]]
        end

        def labels(typed) = typed.keys.map { |key| @table.field(key).label }.join(", ")

        def counted
          return Core::Wording["1 record"] if @ids.length == 1

          Core::Wording["%{count} records", count: Core::Values::Plain.grouped(@ids.length)]
        end
      end
    end
  end
end
