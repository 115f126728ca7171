# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # The one use case that writes a record, whichever way it comes in.
      class SaveRecord
        # @param workspace [Workspace]
        # @param channel [String] how it comes in, for the change log
        # @param batch [Store::Batch, nil] the greater change that it is a part of
        def initialize(workspace, channel: "form", batch: nil)
          @workspace = workspace
          @channel = channel
          @batch = batch
        end

        # @param table [String] key of the table
        # @param typed [Hash{String=>Object}] raw input by field key
        # @param id [Integer, nil] nil for a new record
        # @param version [Integer, nil] the version that the person saw; nil passes
        #   over what others did meanwhile
        # @param form [String, nil] id of the form in which it was typed
        # @param more [Hash] what Services::RecordWriter#write takes besides, such as reasons:;
        #   with restores: the record id: is a deleted one that comes back
        # @return [Services::SaveResult]
        # @raise [Store::NotFound]
        # @raise [Core::Invalid] for a field that the table does not have
        def call(table:, typed:, id: nil, version: nil, form: nil, **more)
          look_up_names(table, typed)
          @workspace.write do
            Services::NotAllowed.unless_may(@workspace.person, @workspace.table(table), :edit)
            stored = (id && !more[:restores]) ? FindRecord.new(@workspace).call(table: table, id: id) : nil
            theirs = (stored && version) ? Store::ChangeLog.since(@workspace.table(table), id, version) : []
            next Services::SaveResult.new(state: :conflict, record: stored, theirs: theirs) if theirs.any?

            Services::RecordWriter.new(@workspace, table, channel: @channel, batch: @batch, form: form).write(
              typed,
              stored: stored,
              id: id,
              **more.except(:restores)
            )
          end
        end

        private

        # The names of linked records are read before anybody else has to wait.
        def look_up_names(table, typed)
          return if Store::Database.connection.transaction_open?

          links = @workspace.table(table).fields.select { |field| field.link? && typed[field.key].is_a?(String) }
          links.each { |field| Store::NameIndex.find(@workspace.plan(field.target), @workspace.context) }
        end
      end
    end
  end
end
