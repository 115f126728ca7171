# frozen_string_literal: true

module UpTack
  module UseCases
    module Lines
      # Saves a record and the lines beneath it in one transaction: all of it or nothing.
      class Save
        # Takes the transaction back; carries the answer that says why.
        class Refused < StandardError
          attr_reader :answer

          def initialize(answer)
            @answer = answer
            super("refused")
          end
        end

        MEANWHILE = Core::Messages["lines.save.changed_meanwhile"]

        def initialize(workspace, channel: "form")
          @workspace = workspace
          @channel = channel
        end

        # @param groups [Array<Group>]
        # @param save [Hash] what SaveRecord takes
        # @return [Services::SaveResult] with lines:, an answer for each row of each group
        # @raise [Store::NotFound, Core::Invalid, Services::NotAllowed]
        def call(table:, groups:, **save)
          return Records::SaveRecord.new(@workspace, channel: @channel).call(table: table, **save) if groups.empty?

          @workspace.write { all(table, groups, **save) }
        rescue Refused => e
          e.answer
        end

        private

        def all(table, groups, **save)
          foreseeing = AnswerDraft.new(@workspace)
          foreseen = foreseeing.call(table: table, groups: groups, **save.slice(:typed, :id, :form, :carried, :reasons))
          answer =
            Records::SaveRecord.new(@workspace, channel: @channel).call(
              table: table, pending: foreseeing.pending, **save
            )
          refuse(answer, foreseen.lines) unless answer.state == :saved
          lines = groups.map { |group| group.rows.map { |row| line(group, row, answer.record.id) } }
          flat = lines.flatten(1).compact
          refuse(answer, lines) if flat.any? { |each| each.state != :saved }
          answer.record = Records::FindRecord.new(@workspace).call(table: table, id: answer.record.id)
          answer
        end

        def refuse(answer, lines)
          answer.state = :refused if answer.state == :saved
          answer.lines = lines
          raise Refused.new(answer)
        end

        # @return [Services::SaveResult, nil] nil for a line that was taken away
        def line(group, row, above)
          return gone(group, row) if row.gone

          typed = row.typed.except(group.link).merge(group.link => above)
          found =
            Records::SaveRecord.new(@workspace, channel: @channel).call(
              table: group.table,
              typed: typed,
              id: row.id,
              version: row.version
            )
          (found.state == :conflict) ? meanwhile(group, row, typed) : found
        rescue Store::NotFound
          meanwhile(group, Row.new(typed: row.typed), typed)
        end

        def gone(group, row)
          return if row.id.nil?

          found = Records::DeleteRecord.new(@workspace, channel: @channel).call(table: group.table, id: row.id,
            version: row.version)
          (found.state == :saved) ? nil : meanwhile(group, row, {}, found.reasons&.join(" "))
        rescue Store::NotFound
          nil # Somebody else took it away already.
        end

        def meanwhile(group, row, typed, message = nil)
          answer = Records::AnswerDraft.new(@workspace).call(table: group.table, typed: typed, id: row.id)
          answer.outcome.refusals += [
            Core::Save::Refusal.new(
              code: "changed_meanwhile",
              rule: nil,
              field: group.link,
              fields: [group.link],
              message: message || MEANWHILE
            )
          ]
          answer.state = :refused
          answer
        end
      end
    end
  end
end
