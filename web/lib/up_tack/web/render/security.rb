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
            **Moment.of(event.made_at, workspace),
            person: event.person_name,
            kind: event.kind,
            words: words(event.kind, event.told, event.person_id)
          }
        end

        # @param who [Integer, nil] number of who did it
        # @return [String] what happened, after the name of who did it
        def words(kind, told, who)
          case kind
          when "set_up"
            "set up the database"
          when "signed_in"
            "signed in#{" in #{told["device"]}" if told["device"]}"
          when "signed_out"
            "signed out"
          when "sign_in_failed"
            if told["known"]
              "could not sign in from #{told["from"]}: wrong password"
            else
              "somebody tried an unknown name from #{told["from"]}"
            end
          when "password_wrong"
            "typed a wrong password while signed in, from #{told["from"]}"
          when "locked_out"
            "has to wait at #{told["from"]} after too many wrong passwords"
          when "refused"
            "asked for what their role does not allow: #{operation(told["operation"])}"
          when "session_ended"
            "ended a session of #{name(told["whose"])}#{" in #{told["device"]}" if told["device"]}"
          when "person_added"
            who ? "added #{name(told["id"])}" : "#{name(told["id"])} was added"
          when "person_changed"
            changed(told, who)
          when "password_changed"
            password(told["id"], who)
          when "made_anonymous"
            "made #{name(told["id"])} anonymous"
          else
            words_of_things(kind, told)
          end
        end

        def words_of_things(kind, told)
          case kind
          when "token_made"
            if told["restored"]
              "kept token #{told["id"]}, over a restore"
            else
              "made the token “#{told["name"] || told["id"]}”"
            end
          when "token_ended"
            [
              "ended the token “#{told["name"] || told["id"]}”",
              (" of #{name(told["whose"])}" if told["whose"]),
              (": #{told["why"]}" if told["why"])
            ].join
          when "backup_made"
            "made the backup #{told["backup"]}"
          when "backup_downloaded"
            "downloaded the backup #{told["backup"]}"
          when "backup_deleted"
            "deleted the backup #{told["backup"]}"
          when "restored"
            "restored #{told["backup"]}; what was there up to entry #{told.dig("cut_off", "entry")} " \
              "(seal #{told.dig("cut_off", "seal").to_s[0, 12]}…) is in #{told["copy"]}"
          when "demo_ended"
            "ended the demo: #{told["people"].to_a.length} people can no longer come in without a password"
          else
            kind.tr("_", " ")
          end
        end

        def changed(told, who)
          return "kept how #{name(told["id"])} may come in, over a restore" if told["restored"]

          "#{who ? "changed #{name(told["id"])}" : "#{name(told["id"])} was changed"}: role, " \
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
