# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Says what deleting a record would do to the records that link to it, before
      # anything is done.
      class PreviewDeletion
        # Names in a message.
        EXAMPLES = 3
        # Said in the place of what would name records that somebody may not see.
        HIDDEN = Core::Messages["records.preview_deletion.hidden_records_need_it"]

        # deleted:: [[table, numbers]], the record itself first
        # cleared:: [[table, field, numbers]] whose link would be cleared
        # reasons:: sentences that say why it can't be, empty when it can
        Consequences = Struct.new(:deleted, :cleared, :reasons, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Consequences]
        # @raise [Store::NotFound]
        def call(table:, id:)
          FindRecord.new(@workspace).call(table: table, id: id)
          consequences(@workspace.table(table), id)
        end

        # The same of a record that is known to be there.
        # @param design [Core::Design::Table]
        # @return [Consequences]
        def consequences(design, id)
          gone = go_along(design, id)
          kept = gone.flat_map { |design, ids| staying(design, ids, gone) }
          cleared, refused = kept.partition { |_, field, _| field.on_delete == "clear" }
          Consequences.new(
            deleted: gone.to_a,
            cleared: cleared,
            reasons: (locked(gone) + refused.map { |design, field, ids| reason(design, field, ids) }).uniq
          )
        end

        private

        # Those among them that a lock keeps as they are.
        def locked(gone)
          gone.flat_map do |table, ids|
            next [] if table.rules.select(&:locks?).none?(&:whole?)

            found =
              Store::RecordTable
                .new(table)
                .find_all(ids)
                .flat_map { |id, values| Core::Save::Deleting.reasons(table, id, values, @workspace.context) }
            (found.any? && !@workspace.visibility.table?(table)) ? [HIDDEN] : found
          end
        end

        # @return [Hash{Table=>Array<Integer>}] the record and all that are deleted along
        def go_along(design, id)
          gone = {}.compare_by_identity
          pending = [[design, [id]]]
          while (table, ids = pending.shift)
            fresh = ids - gone.fetch(table, [])
            next if fresh.empty?

            gone[table] = gone.fetch(table, []) + fresh
            links(table).each do |other, field|
              pending << [other, linking(other, field, fresh)] if field.on_delete == "delete"
            end
          end
          gone
        end

        # @return [Array<Array(Table, Field, Array<Integer>)>] records that link there and are not deleted themselves
        def staying(design, ids, gone)
          links(design).reject { |_, field| field.on_delete == "delete" }.filter_map do |other, field|
            left = linking(other, field, ids) - gone.fetch(other, [])
            [other, field, left] if left.any?
          end
        end

        def links(design) = design.neighbours.links_to(design.key)

        def linking(design, field, ids)
          rows = Store::RecordTable.new(design)
          ids.each_slice(500).flat_map { |some| rows.linking(field.key, some) }
        end

        def reason(design, field, ids)
          return HIDDEN unless @workspace.visibility.table?(design) && @workspace.visibility.field?(field)

          context = @workspace.context
          names =
            Store::RecordTable
              .new(design)
              .find_all(ids.first(EXAMPLES))
              .map { |id, values| Core::Save::RecordTitle.find(design, id, values, context) }
          Core::Messages[
            "records.preview_deletion.records_have_it",
            count: ids.length,
            table: design.label,
            field: field.label,
            names: names.join(", "),
            more: (ids.length > EXAMPLES) ? Core::Messages["common.and_more", number: ids.length - EXAMPLES] : ""
          ]
        end
      end
    end
  end
end
