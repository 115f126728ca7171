# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Sessions, and events of the security log in words.
      module Security
        module_function

        # @param session [Store::Session]
        # @param here [Integer, nil] number of the one that asks
        def session(session, here)
          {
            id: session.id,
            person: Session.person(session.person),
            device: session.device || "a browser",
            current: session.id == here,
            made_at: session.made_at.getutc.iso8601,
            seen_at: session.seen_at.getutc.iso8601
          }
        end

        # @param event [Store::Event]
        def event(event, workspace)
          {
            id: event.id,
            **Moment.render(event.made_at, workspace),
            person: event.person_name,
            kind: event.kind,
            words: words(event.kind, event.facts, event.person_id)
          }
        end

        # @param who [Integer, nil] number of who did it
        # @return [String] what happened, after the name of who did it
        def words(kind, facts, who)
          case kind
          when "set_up"
            "set up the database"
          when "signed_in"
            "signed in#{" in #{facts["device"]}" if facts["device"]}"
          when "signed_out"
            "signed out"
          when "sign_in_failed"
            if facts["known"]
              "could not sign in from #{facts["from"]}: wrong password"
            else
              "somebody tried an unknown name from #{facts["from"]}"
            end
          when "password_wrong"
            "typed a wrong password while signed in, from #{facts["from"]}"
          when "locked_out"
            "has to wait at #{facts["from"]} after too many wrong passwords"
          when "refused"
            "asked for what their role does not allow: #{operation(facts["operation"])}"
          when "session_ended"
            "ended a session of #{name(facts["whose"])}#{" in #{facts["device"]}" if facts["device"]}"
          when "person_added"
            who ? "added #{name(facts["id"])}" : "#{name(facts["id"])} was added"
          when "person_changed"
            changed(facts, who)
          when "password_changed"
            password(facts["id"], who)
          when "made_anonymous"
            "made #{name(facts["id"])} anonymous"
          else
            words_of_things(kind, facts)
          end
        end

        def words_of_things(kind, facts)
          case kind
          when "token_made"
            if facts["restored"]
              "kept token #{facts["id"]}, across a restore"
            else
              "created the token “#{facts["name"] || facts["id"]}”"
            end
          when "token_ended"
            [
              "ended the token “#{facts["name"] || facts["id"]}”",
              (" of #{name(facts["whose"])}" if facts["whose"]),
              (": #{facts["why"]}" if facts["why"])
            ].join
          when "backup_made"
            "created the backup #{facts["backup"]}"
          when "backup_downloaded"
            "downloaded the backup #{facts["backup"]}"
          when "backup_deleted"
            "deleted the backup #{facts["backup"]}"
          when "restored"
            "restored #{facts["backup"]}; what was there up to entry #{facts.dig("cut_off", "entry")} " \
              "(seal #{facts.dig("cut_off", "seal").to_s[0, 12]}…) is in #{facts["copy"]}"
          when "demo_ended"
            "ended the demo: #{facts["people"].to_a.length} people can no longer sign in without a password"
          else
            kind.tr("_", " ")
          end
        end

        def changed(facts, who)
          return "kept how #{name(facts["id"])} can sign in, across a restore" if facts["restored"]

          "#{who ? "changed #{name(facts["id"])}" : "#{name(facts["id"])} was changed"}: role, " \
            "sign-in name or whether they are active"
        end

        def password(id, who)
          return "changed their own password" if who == id

          who ? "set the password of #{name(id)}" : "the password of #{name(id)} was set"
        end

        # @return [String] what it does, as the API's document says
        def operation(id) = Guard::Access.current.summary(id).then { |text| text.chomp(".").sub(/\A./, &:downcase) }

        def name(id) = UseCases::People::Directory.name(id)
      end
    end
  end
end
