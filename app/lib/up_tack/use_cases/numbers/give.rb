# frozen_string_literal: true

module UpTack
  module UseCases
    module Numbers
      # Gives records that have no number theirs, in an order that the builder chooses.
      class Give
        # Records shown beforehand.
        SHOWN = 8

        # waiting:: how many records lack a number
        # first:: [{id:, title:, number:, message:}] of the first of them, as they would be numbered
        Foresight = Struct.new(:waiting, :first, keyword_init: true)

        # batch:: the change; given:: how many; refused:: [{id:, title:, message:}], some of them; left:: how many
        Result = Struct.new(:batch, :given, :refused, :left, keyword_init: true)

        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param order [String, nil] key of a field; nil for the order in which they were made
        # @return [Foresight] what would come of it; nothing is written
        def foresee(table:, rule:, order: nil, descending: false)
          prepare(table, rule)
          ids = waiting(order, descending)
          counters = Store::Counters.new(buffered: true)
          context = @workspace.context(counters: counters)
          Foresight.new(
            waiting: ids.length,
            first: ids.first(SHOWN).map { |id| shown(id, tried(id, context, counters)) }
          )
        end

        # @return [Result]
        # @raise [Recalculation::Stopped]
        def call(table:, rule:, order: nil, descending: false)
          prepare(table, rule)
          many = waiting(order, descending).length
          Services::Portions.run(@workspace, many, progress: @progress) do |portions|
            prepare(table, rule)
            ids = waiting(order, descending)
            result = Result.new(given: 0, left: 0, refused: [])
            run(ids, result, portions) if ids.any?
            result
          end
        end

        private

        def prepare(table, rule)
          @table = @workspace.table(table)
          @field = @table.field(Numbers.rule(@table, rule).field)
          @plan = @workspace.plan(table)
        end

        def waiting(order, descending)
          Services::Fields.check(@table, {order => nil}) if order
          blank = Core::Expression.compile("#{@field.key} is blank", @table.scope)
          sorts = order ? [Store::Query::Sort.new(field: @table.field(order), descending: descending)] : []
          Services::Selection.new(@workspace, @table, filter: blank, sorts: sorts, descending: descending).ids
        end

        # A refusal of this record must not take back what earlier ones were given.
        def tried(id, context, counters)
          outcome =
            Core::Save.call(
              @plan,
              Core::Save::Draft.new(
                typed: {},
                stored: Store::RecordTable.new(@table).find(id),
                id: id,
                numbering: true
              ),
              context
            )
          outcome.saved? ? counters.commit(id, finish: false) : counters.drop
          outcome
        end

        def shown(id, outcome)
          {
            id: id,
            title: Core::Save::RecordTitle.find(@table, id, outcome.values, @workspace.context),
            number: outcome.saved? ? @field.show(outcome.values[@field.key]) : nil,
            message: outcome.saved? ? nil : outcome.refusals.map(&:message).join(" ")
          }
        end

        def run(ids, result, portions)
          result.batch = portions.open(ids.length, @table) do
            Store::Batch.begin(@workspace, @table, "Numbered: #{@field.label}")
          end
          writer = Services::BulkRecordWriter.new(@workspace, @table.key, channel: "numbers", batch: result.batch)
          find = Records::FindRecord.new(@workspace)
          @progress.begin(@table.label, @field.label, ids.length)
          portions.each(ids) do |some|
            some.each do |id|
              note(result, id, writer.write({}, stored: find.call(table: @table.key, id: id), numbering: true))
            end
            writer.finish
          end
        end

        def note(result, id, answer)
          return result.given += 1 if answer.state == :saved

          result.left += 1
          result.refused << shown(id, answer.outcome).except(:number) if result.refused.length < SHOWN
        end
      end
    end
  end
end
