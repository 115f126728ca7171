# frozen_string_literal: true

module UpTack
  module Store
    # Rows whose state is written down in an event, so that a change from outside shows: designs, batches,
    # people with their roles and passwords, and tokens.
    module Vouched
      # What of each table is vouched for.
      COLUMNS = {
        "up_tack_revisions" => %w[id made_at person_id person_name action summary target_id design renamed_choices],
        "up_tack_batches" => %w[id made_at person_id person_name table_id summary undoes_id],
        "up_tack_people" => %w[id sign_in role active password_digest],
        "up_tack_tokens" => %w[id person_id role digest ends_at]
      }.freeze

      # @param table [String] a key of COLUMNS
      # @param id [Integer, nil] of one row; nil for all
      # @return [Hash{Integer=>String}] SHA-256 of what rows say, by number
      def self.digests(table, id = nil)
        rows = Database.connection.select_rows("SELECT #{COLUMNS.fetch(table).join(", ")} " \
          "FROM #{table} #{"WHERE id = #{Integer(id)}" if id}")
        rows.to_h { |row| [row.first, Digest::SHA256.hexdigest(JSON.generate(row))] }
      end

      # Writes down the state of this row as it is now.
      # @param kind [String] of the event
      # @param facts [Hash{String=>Object}] what the event says besides
      # @return [void]
      def vouch(kind, facts = {}, person: nil)
        table = self.class.table_name
        Event.add(kind, {"of" => table, "id" => id, "digest" => Vouched.digests(table, id)[id], **facts},
          person: person)
      end

      # The row is gone, and should be.
      # @return [void]
      def vouch_end(kind, facts = {}, person: nil) =
        Event.add(kind, {"of" => self.class.table_name, "id" => id, "digest" => nil, **facts}, person: person)
    end
  end
end
