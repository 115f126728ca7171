# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Restores the latest backup into a copy that nobody uses, and looks whether all of it is sound: a backup is worth
      # what comes back from it. It opens one file after the other, so that it needs a process of its own.
      class ProveRestore
        # Seconds after which the schedule does it again.
        EVERY = 7 * 86_400

        # What came of it. backup:: name; at:: time; sound:: whether all is; message:: what is not
        Proof = Struct.new(:backup, :at, :sound, :message, keyword_init: true)

        # @return [Proof, nil] the latest
        def self.latest
          kept = JSON.parse(Store::Settings["proven_restore"] || "null") or return
          Proof.new(**kept.transform_keys(&:to_sym), at: Time.iso8601(kept["at"]))
        end

        # @param now [Time]
        # @return [Boolean] whether the schedule wants it
        def self.due?(now)
          Store::Backups.new.all.any? && ((known = latest).nil? || now - known.at >= EVERY)
        end

        # @param clock [#now]
        # @param person [Store::Person] any builder
        def initialize(clock, person:)
          @clock = clock
          @person = person
        end

        # @return [Proof, nil] nil where there is no backup
        def call
          copy = Store::Backups.new.all.first or return
          message = wrong_with(Store::Backups.new.path(copy.name))
          proof = Proof.new(backup: copy.name, at: @clock.now, sound: message.nil?, message: message)
          kept = proof.to_h.merge(at: proof.at.iso8601)
          Store::Database.write do
            Store::Settings["proven_restore"] = JSON.generate(kept)
            Store::Event.add("restore_proven", {"backup" => copy.name, "sound" => proof.sound}, now: @clock.now)
          end
          proof
        end

        private

        # @return [String, nil]
        def wrong_with(path)
          Store::Backups.check(path)
          findings =
            Store::PrivateCopy.during(of: path) do
              Store::Database.write { Store::Database.prepare }
              UndoLeft.call
              IntegrityCheck.new(Workspace.new(person: @person)).call
            end
          findings.reject(&:sound).map(&:message).first
        rescue Store::Backups::Unsound, Store::PrivateCopy::Failed, Store::SystemTables::TooNew => e
          e.message
        end
      end
    end
  end
end
