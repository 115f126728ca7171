# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Makes one change of the design: a new revision, and the real tables
      # brought to follow it, in one transaction.
      class ChangeDesign
        # @return [Array<Array(String, String)>] table and field of which all records were calculated
        attr_reader :calculated

        # @param progress [Progress] of what must be worked out again
        # @param ahead [Proc, nil] given what UseCases::Design::CalculateAhead takes, calculates in another process what
        #   is stale by then: a Recalculation::Ahead
        def initialize(workspace, progress: Progress.none, ahead: nil)
          @workspace = workspace
          @progress = progress
          @ahead = ahead
        end

        # @param change [#apply, #summary] one of Core::Design::Changes
        # @return [Core::Design::Project] the new one
        # @raise [Core::Invalid, Recalculation::Stopped]
        def call(change)
          ahead_of(change) { make(change) }
        end

        # Makes the design that which is given, without a name of its own: in a copy, to see what comes of it.
        # @param to [Core::Design::Project]
        # @param renamed [Hash] see Core::Design::RenamedChoices
        # @return [void]
        def follow(to, renamed)
          @workspace.write do
            from = @workspace.project
            replaced = Store::SchemaSync.new(from, to, renamed: renamed).follow
            keep(to, from, [replaced], action: "change", summary: "")
          end
        end

        # The same for a state that there was.
        # @param revision [Integer]
        # @return [void]
        def return_to(revision)
          @workspace.write { go_to(Store::Revision.find(revision), action: "put back", summary: "") }
        end

        # Undoes the latest change that is not undone yet.
        # @return [Store::Revision, nil] what was undone
        def undo
          ahead_of_return(Store::Revision.to_undo&.previous) do
            target = Store::Revision.to_undo or next
            go_to(target.previous, action: "undo", summary: target.summary, target: target.id)
            target
          end
        end

        # Makes the latest undone change again.
        # @return [Store::Revision, nil] what was redone
        def redo
          ahead_of_return(Store::Revision.to_redo) do
            target = Store::Revision.to_redo or next
            go_to(target, action: "redo", summary: target.summary, target: target.id)
            target
          end
        end

        # Restores an earlier state of the design, as a change of its own.
        # @return [Store::Revision] that state
        def put_back(id)
          ahead_of_return(Store::Revision.find_by(id: id)) do
            target = Store::Revision.find_by(id: id) or
              raise Store::NotFound, Core::Messages["designing.all.there_is_no_revision", id: id]
            go_to(target, action: "put back", summary: "Restored the design to: #{target.summary}", target: target.id)
            target
          end
        end

        private

        # Others go on by the old design while another process calculates what many records will have by the new one.
        def ahead_of(change, &)
          return yield unless @ahead && many?

          tried = change.dup
          to = Core::Bench::RetoldProofs.after(tried, @workspace.project)
          calculate(to, design: to.attributes, renamed: tried.renamed_choices, &)
        end

        # The same for a state that there was, within the transaction that returns to it.
        # @param revision [Store::Revision, nil]
        def ahead_of_return(revision, &block)
          returning = -> { @workspace.write(&block) }
          return returning.call unless @ahead && revision && many?

          calculate(project_of(revision.id), revision: revision.id, &returning)
        end

        def calculate(to, **what, &)
          from = @workspace.project
          touched = [
            *Recalculation::AfterDesign.new(from, to).dirty.all.map(&:first),
            *Recalculation::BackfillFromLog.fresh(from, to).map { |table, _| table.key },
            *Recalculation::RegisterNumbers.fresh(from, to).map { |table, _| table.key },
            *Store::SchemaSync.rewritten(from, to).map(&:key)
          ]
          return yield if touched.none? { |table| from.table(table) && many_in?(table) }

          @found = @ahead.call(**what)
          @found.attached(&)
        end

        # What was calculated ahead, unless the design has become another one in the meantime.
        def found = (@found if @found&.revision == @workspace.revision_id)

        def many? = @workspace.project.tables.any? { |table| many_in?(table.key) }

        def many_in?(table) = Store::RecordTable.model(table).maximum(:id).to_i > Recalculation::Ahead::MANY

        def make(change)
          @workspace.write do
            from = @workspace.project
            to = Core::Bench::RetoldProofs.after(change, from)
            next from if to.attributes == from.attributes

            renamed = change.renamed_choices
            Services::ChoicesInUse.new(@workspace).check(from, to, renamed: renamed)
            ahead = found
            replaced = Store::SchemaSync.new(from, to, renamed: renamed, ahead: ahead).follow
            keep(
              to,
              from,
              [replaced],
              ahead: ahead,
              action: "change",
              summary: change.summary,
              renamed_choices: (JSON.generate(renamed) if renamed.any?)
            )
          end
        end

        # Takes the real tables to the state after a revision, change by change.
        def go_to(revision, **entry)
          ahead = found
          steps =
            Store::Lineage.new(Store::Revision.history.order(:id)).steps(from: @workspace.revision_id, to: revision.id)
          replaced =
            steps.map do |step|
              renamed = Store::Revision.find(step.back ? step.from : step.to).renames
              Store::SchemaSync.new(
                project_of(step.from),
                project_of(step.to),
                back: step.back,
                renamed: renamed,
                # Of the states in between there is no copy.
                ahead: (ahead if steps.one?)
              ).follow
            end
          keep(project_of(revision.id), @workspace.project, replaced, ahead: ahead, **entry)
        end

        # The design of a revision, in which no id is given twice even so.
        def project_of(id)
          Core::Design::Project.reopen(
            JSON.parse(Store::Revision.find(id).design).merge("last_id" => @workspace.project.last_id)
          )
        end

        # Keeps the new state, and works out again what it makes stale.
        # @param replaced [Array<Store::Replaced>] fields with other values than before
        # @param ahead [Recalculation::Ahead, nil] where the same was done before
        # @param more [Hash] what else the revision says
        def keep(project, from, replaced, action:, summary:, target: nil, ahead: nil, **more)
          Store::Revision.create!(
            made_at: @workspace.clock.now,
            person_id: @workspace.person.id,
            person_name: Store::PersonNames.seal(@workspace.person.id, @workspace.person.name),
            action: action,
            summary: summary,
            target_id: target,
            design: JSON.generate(project.attributes),
            **more
          )
          @workspace.renew
          Recalculation::RegisterNumbers.new(@workspace, progress: @progress).run(from, project, ahead: ahead)
          backfilled = Store::Replaced.new
          Recalculation::BackfillFromLog.run(
            @workspace, from, project, backfilled, progress: @progress, ahead: ahead
          )
          dirty = Recalculation::AfterDesign.new(from, project, [*replaced, backfilled]).dirty
          @calculated = dirty.all
          ahead&.carry_over(dirty, @workspace)
          Recalculation::Run.new(@workspace, progress: @progress).run(dirty)
          project
        end
      end
    end
  end
end
