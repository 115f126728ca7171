# frozen_string_literal: true

module UpTack
  module UseCases
    module Lines
      # Reads the records that link to one, for a form in which they are its lines.
      class List
        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] of the record above; id: its number
        # @param other [String] table of the lines; link: key of their link
        # @return [Array<Services::StoredRecord>] MOST at most, in the order of their numbers
        # @raise [Store::NotFound, Services::NotAllowed]
        def call(table:, id:, other:, link:)
          Records::FindRecord.new(@workspace).call(table: table, id: id)
          lines = @workspace.table(other)
          field = lines.field(link)
          unless field&.link? && field.target == table && @workspace.visibility.field?(field)
            raise Store::NotFound,
              Core::Messages["lines.all.records_of_do_not_link_here", table: lines.label, link: link]
          end

          Services::NotAllowed.unless_may(@workspace.person, lines, :see)
          found = Store::RecordTable.new(lines).linked(link, [id]).first(MOST)
          versions = Store::ChangeLog.versions_of(lines, found.map(&:first))
          found.map { |number, values|
            Services::StoredRecord.new(id: number, version: versions[number], values: values.to_h)
          }
        end
      end
    end
  end
end
