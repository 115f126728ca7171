# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Notices that a person was sent; builders see what went to everybody.
      class Notices
        LATEST = 200

        # @param workspace [Workspace]
        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Store::Notice>] the newest first
        def latest = own.includes(:person).order(id: :desc).limit(LATEST).to_a

        # @return [Store::Notice] marked as read
        # @raise [Store::NotFound]
        def read(id)
          notice = own.find_by(id: id) or
            raise Store::NotFound, Core::Messages["people.notices.there_is_no_such_notice"]
          @workspace.write { notice.update!(read_at: @workspace.clock.now) } unless notice.read_at
          notice
        end

        private

        def own
          person = @workspace.person
          person.builder? ? Store::Notice.all : Store::Notice.where(person_id: person.id)
        end
      end
    end
  end
end
