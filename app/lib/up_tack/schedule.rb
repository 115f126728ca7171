# frozen_string_literal: true

require "rufus-scheduler"

module UpTack
  # What happens by itself while the application runs. It only asks every minute;
  # what is due is said by the application's own clock.
  module Schedule
    module_function

    # @return [Rufus::Scheduler]
    def start
      Rufus::Scheduler.new.tap do |scheduler|
        scheduler.every("1m", first: :now, overlap: false) { look }
      end
    end

    # Makes the checks that are due. What goes wrong must not end the schedule.
    def look
      person = Store::Person.order(:id).first or return
      workspace = Workspace.new(person: person)
      Store::Head.note(workspace.clock)
      UseCases::SendNotices.new(workspace).call
      UseCases::Care::Backups.new(workspace.clock).make_due
      UseCases::Imports::Uploads.forget_old
    rescue => e
      warn "The schedule: #{e.class}: #{e.message}"
    ensure
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end
  end
end
