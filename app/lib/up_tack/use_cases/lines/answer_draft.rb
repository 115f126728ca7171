# frozen_string_literal: true

module UpTack
  module UseCases
    module Lines
      # Says what would come of a record and of the lines beneath it, and writes
      # nothing: the lines see the record as it is typed, its totals see the lines.
      class AnswerDraft
        # @return [Store::UnsavedOverlay] record and lines as they would be, once answered
        attr_reader :pending

        def initialize(workspace)
          @workspace = workspace
        end

        # @param groups [Array<Group>]
        # @param draft [Hash] what AnswerDraft takes
        # @return [Services::SaveResult] with lines:, an answer for each row of each group
        # @raise [Store::NotFound, Core::Invalid, Services::NotAllowed]
        def call(table:, groups:, id: nil, **draft)
          return Records::AnswerDraft.new(@workspace).call(table: table, id: id, **draft) if groups.empty?

          @pending = Store::UnsavedOverlay.new
          known = id || Store::UnsavedOverlay::NEW
          groups.each { |group| check(table, group) }
          first = Records::AnswerDraft.new(@workspace).call(table: table, id: id, pending: @pending, **draft)
          @pending.put(table, known, first.outcome.values)
          lines = groups.map { |group| lines(group, known) }
          Records::AnswerDraft
            .new(@workspace)
            .call(table: table, id: id, pending: @pending, **draft)
            .tap { |answer| answer.lines = lines }
        end

        private

        def check(table, group)
          link = @workspace.table(group.table).field(group.link)
          return if link&.link? && link.target == table && group.rows.length <= MOST

          Core::Invalid.because(
            if group.rows.length > MOST
              Core::Messages["lines.answer_draft.at_most_lines_are_saved_at_once", most: MOST]
            else
              Core::Messages[
                "lines.all.records_of_do_not_link_here",
                table: @workspace.table(group.table).label,
                link: group.link
              ]
            end,
            part: "lines"
          )
        end

        def lines(group, known)
          answers = group.rows.map { |row| row.gone ? nil : answer(group, row, known) }
          @pending.put_linked(group.table, group.link, known, values(group, answers, known))
          answers
        end

        def answer(group, row, known)
          Records::AnswerDraft.new(@workspace).call(
            table: group.table,
            typed: row.typed.except(group.link).merge(group.link => known),
            id: row.id,
            pending: @pending
          )
        end

        # All lines as they would be: those that are there, changed or left alone, and new ones.
        def values(group, answers, known)
          there =
            if known == Store::UnsavedOverlay::NEW
              []
            else
              Store::RecordTable.new(@workspace.table(group.table)).linked(group.link, [known])
            end
          typed = group.rows.zip(answers)
          kept =
            there.filter_map do |id, values|
              row, answer = typed.find { |each, _| each.id == id }
              if row&.gone
                nil
              else
                [id, answer ? answer.outcome.values : values]
              end
            end
          kept +
            typed
              .reject { |row, _| row.id || row.gone }
              .each_with_index
              .map { |(_, answer), index| [Store::UnsavedOverlay::NEW + 1 + index, answer.outcome.values] }
        end
      end
    end
  end
end
