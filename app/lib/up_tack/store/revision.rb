# frozen_string_literal: true

module UpTack
  module Store
    # One state of the design: who made it, when, what changed, and all of it.
    # action:: "start", "change", "undo", "redo", "put back" or "restore"
    # target_id:: the revision that was undone, redone or put back
    # renamed_choices:: JSON, see Core::Design::RenamedChoices#by_id; nil where none was renamed
    class Revision < SystemRecord
      self.table_name = "up_tack_revisions"
      prepend PersonNames::Kept
      include Vouched

      # What is written in portions is written by one design.
      before_create { RunningBatch.none! }
      after_create { vouch("design") }

      # @return [Revision, nil] the latest change that has not been undone
      def self.to_undo
        skip = 0
        history.find_each_newest do |revision|
          next skip += 1 if revision.action == "undo"
          return nil if %w[start restore].include?(revision.action)
          return revision if skip.zero?

          skip -= 1
        end
      end

      # @return [Revision, nil] the change that the latest undo took back, unless
      #   something else was changed since
      def self.to_redo
        skip = 0
        history.find_each_newest do |revision|
          case revision.action
          when "redo" then skip += 1
          when "undo"
            return find(revision.target_id) if skip.zero?
            skip -= 1
          else return nil
          end
        end
      end

      # Everything but the designs, which are large.
      def self.history = select(column_names - ["design"])

      # Calls the block for each, the newest first, until it returns.
      def self.find_each_newest(&block)
        find_each(order: :desc, batch_size: 50, &block)
        nil
      end

      # @return [Hash{String=>Hash{String=>String}}] new names of choices by old ones, by id of the field
      def renames = renamed_choices ? JSON.parse(renamed_choices) : {}

      # @return [Revision, nil] the state before this one
      def previous = self.class.where("id < ?", id).order(:id).last
    end
  end
end
