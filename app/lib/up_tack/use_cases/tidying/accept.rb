# frozen_string_literal: true

module UpTack
  module UseCases
    module Tidying
      # Takes suggestions over, each record through its rules, all of them as one
      # change that can be undone. What the rules refuse, or what became another
      # text meanwhile, stays as it is and is told.
      class Accept
        # saved:: values tidied; refused:: [{id:, title:, message:}], some of them
        # left:: how many were refused or had changed
        Result = Struct.new(:batch, :saved, :refused, :left, keyword_init: true)
        SHOWN = 20

        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param picked [Array<Hash>, nil] "id", "field" and "before" of each; nil for all there are
        # @return [Result]
        # @raise [Recalculation::Stopped]
        def call(table:, picked: nil)
          @table = @workspace.table(table)
          Services::Portions.run(@workspace, picked ? picked.length : wanted(nil).length,
            progress: @progress) do |portions|
            @table = @workspace.table(table)
            @result = Result.new(saved: 0, refused: [], left: 0)
            work(wanted(picked), portions)
            @result
          end
        end

        private

        # @return [Hash{Integer=>Hash{String=>String}}] tidied texts by record and field
        def wanted(picked)
          chosen = picked&.to_h { |each| [[each["id"], each["field"]], each["before"]] }
          found = Hash.new { |hash, id| hash[id] = {} }
          Suggestions.new(@workspace, @table).each do |id, field, before, after|
            found[id][field.key] = after if chosen.nil? || chosen[[id, field.key]] == before
          end
          @result&.left = chosen ? chosen.length - found.sum { |_, fields| fields.length } : 0
          found
        end

        def work(wanted, portions)
          return if wanted.empty?

          @result.batch = portions.open(wanted.length, @table) do
            Store::Batch.begin(@workspace, @table, "Cleaned up #{labels(wanted)}")
          end
          save = Records::SaveRecord.new(@workspace, channel: "tidy", batch: @result.batch)
          @progress.begin(@table.label, labels(wanted), wanted.length)
          portions.each(wanted) do |some|
            some.each { |id, typed| note(id, typed, save.call(table: @table.key, id: id, typed: typed)) }
          end
        end

        def note(id, typed, answer)
          return @result.saved += typed.length if answer.state == :saved

          @result.left += typed.length
          return if @result.refused.length >= SHOWN

          title = Core::Save::RecordTitle.find(@table, id, answer.record.values, @workspace.context)
          @result.refused << {
            id: id,
            title: title,
            message:
              answer
                .outcome
                .refusals
                .map { |each| @workspace.visibility.refusal(each, @table).message }
                .uniq
                .join(" ")
          }
        end

        def labels(wanted)
          wanted.values.flat_map(&:keys).uniq.map { |key| @table.field(key).label }.join(", ")
        end
      end
    end
  end
end
