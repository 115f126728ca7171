# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Deletes a record, with what the builder chose for the records that link to
      # it; the change log keeps what each of them held.
      class DeleteRecord
        # @param channel [String] how it comes, for the change log
        # @param batch [Store::Batch, nil] the greater change that it is a part of
        # @param buffered [Boolean] whether which fields the log tells of is written only by `finish`,
        #   for many deletions; before anybody else writes to the log it must be called
        def initialize(workspace, channel: "form", batch: nil, buffered: false)
          @workspace = workspace
          @channel = channel
          @batch = batch
          @log = Store::LogWriter.new(buffered: buffered)
          @rows = Hash.new { |known, design| known[design] = Store::RecordTable.new(design) }.compare_by_identity
          @upkeep =
            Hash.new { |known, design|
              known[design] = Recalculation::AfterSave.new(workspace, design)
            }.compare_by_identity
        end

        # Writes what is held back.
        def finish = @log.finish

        # @param version [Integer, nil] the version that the person saw
        # @return [Services::SaveResult] :saved, :conflict, or :linked when other records stand against it
        # @raise [Store::NotFound]
        def call(table:, id:, version: nil)
          @workspace.write { attempt(table, id, version) }
        rescue StillNeeded => e
          Services::SaveResult.new(state: :linked, record: FindRecord.new(@workspace).call(table: table, id: id),
            reasons: [e.message])
        end

        private

        # Raised for a record that would be left without a link it must have; takes
        # back with the transaction whatever was done before.
        class StillNeeded < StandardError; end
        private_constant :StillNeeded

        def attempt(table, id, version)
          design = @workspace.table(table)
          Services::NotAllowed.unless_may(@workspace.person, design, :delete)
          stored = found(design, id)
          theirs = version ? Store::ChangeLog.since(design, id, version) : []
          if theirs.any?
            return Services::SaveResult.new(
              state: :conflict,
              record: FindRecord.new(@workspace).call(table: table, id: id),
              theirs: theirs
            )
          end

          consequences = PreviewDeletion.new(@workspace).consequences(design, id)
          if consequences.reasons.any?
            return Services::SaveResult.new(
              state: :linked,
              record: FindRecord.new(@workspace).call(table: table, id: id),
              reasons: consequences.reasons
            )
          end

          # What may fail halfway is done by itself, so that a greater change goes on without it.
          consequences.cleared.any? ? @workspace.write(savepoint: true) {
            carry_out(consequences)
          } : carry_out(consequences)
          Services::SaveResult.new(state: :saved, record: stored)
        end

        def found(design, id)
          Store::RunningBatch.check(design, id)
          values = @rows[design].find(id) or raise Store::NotFound, FindRecord.missing(design, id)
          Services::StoredRecord.new(id: id, values: values)
        end

        def carry_out(consequences)
          @log.finish if consequences.cleared.any?
          consequences.cleared.each { |design, field, ids| ids.each { |id| clear(design, field, id) } }
          gone = consequences.deleted.flat_map { |design, ids| ids.map { |id| [design, found(design, id)] } }
          context = @workspace.context
          titles = gone.map { |design, record| Core::Save::RecordTitle.find(design, record.id, record.values, context) }
          gone.each { |design, record| @rows[design].delete(record.id) }
          gone.zip(titles) { |(design, record), title| log(design, record, title) }
        end

        def clear(design, field, id)
          answer =
            SaveRecord.new(@workspace, channel: @channel, batch: @batch).call(
              table: design.key,
              id: id,
              typed: {field.key => nil}
            )
          return if answer.state == :saved

          title = Core::Save::RecordTitle.find(design, id, answer.record.values, @workspace.context)
          visible = @workspace.visibility
          raise StillNeeded, PreviewDeletion::HIDDEN unless visible.table?(design) && visible.field?(field)

          why = answer.outcome.refusals.map { |each| visible.refusal(each, design).message }.join(" ")
          raise StillNeeded, "#{title} in #{design.label} can't be without #{field.label}: #{why}"
        end

        def log(design, record, title)
          changes = design.kept_fields.filter_map do |field|
            value = record.values[field.key]
            Core::Save::Change.new(field, value, nil) unless value.nil?
          end
          upkeep = @upkeep[design]
          followed = upkeep.run(record.id, before: record.values, after: {})
          Store::ChangeLog.add(
            table: design, record_id: record.id, action: "delete", changes: changes, followed: followed,
            workspace: @workspace, channel: @channel, title: title, batch: @batch, log: @log
          )
          @log.finish if followed.any?
          Services::DownstreamLogRules.new(@workspace).write(upkeep.take_moved)
        end
      end
    end
  end
end
