# frozen_string_literal: true

module UpTack
  module UseCases
    # Makes one change of the design: a new revision, and the real tables
    # brought to follow it, in one transaction.
    class ChangeDesign
      def initialize(workspace)
        @workspace = workspace
      end

      # @param change [#apply, #summary] one of Core::Design::Changes
      # @return [Core::Design::Project] the new one
      # @raise [Core::Design::Invalid]
      def call(change)
        @workspace.write do
          from = @workspace.project
          to = change.apply(from)
          next from if to.to_plain == from.to_plain

          move(from: from, to: to, action: "change", summary: change.summary)
        end
      end

      # Takes back the latest change that is not taken back yet.
      # @return [Store::Revision, nil] what was undone
      def undo
        @workspace.write do
          target = Store::Revision.to_undo or next
          to_state(Store::Revision.find(target.id).previous, "undo", target.summary, target: target.id, back: true)
          target
        end
      end

      # Makes the latest undone change again.
      # @return [Store::Revision, nil] what was redone
      def redo
        @workspace.write do
          target = Store::Revision.to_redo or next
          to_state(Store::Revision.find(target.id), "redo", target.summary, target: target.id)
          target
        end
      end

      # Puts the design back to an earlier state, as a change of its own.
      # @return [Store::Revision] that state
      def put_back(id)
        @workspace.write do
          target = Store::Revision.find_by(id: id) or raise Store::NotFound, "There is no revision #{id}."
          to_state(target, "put back", "As it was after: #{target.summary}", target: target.id, back: true)
          target
        end
      end

      private

      def to_state(revision, action, summary, target:, back: false)
        plain = JSON.parse(revision.design)
        plain["last_id"] = @workspace.project.last_id
        move(from: @workspace.project, to: Core::Design::Project.from(plain), action: action, summary: summary, target: target, back: back)
      end

      def move(from:, to:, action:, summary:, target: nil, back: false)
        Store::Physical.new(from, to, back: back).follow
        Store::Revision.create!(
          made_at: @workspace.clock.now, person_id: @workspace.person.id, person_name: @workspace.person.name,
          action: action, summary: summary, target_id: target, design: JSON.generate(to.to_plain)
        )
        @workspace.renew
        to
      end
    end
  end
end
