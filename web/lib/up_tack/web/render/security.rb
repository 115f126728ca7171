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
            device: session.device || Core::Wording["a browser"],
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
            Core::Wording["set up the database"]
          when "signed_in"
            in_device(Core::Wording["signed in"], facts["device"])
          when "signed_out"
            Core::Wording["signed out"]
          when "sign_in_failed"
            if facts["known"]
              Core::Wording["could not sign in from %{address}: wrong password", address: facts["from"]]
            else
              Core::Wording["somebody tried an unknown name from %{address}", address: facts["from"]]
            end
          when "password_wrong"
            Core::Wording["typed a wrong password while signed in, from %{address}", address: facts["from"]]
          when "locked_out"
            Core::Wording["has to wait at %{address} after too many wrong passwords", address: facts["from"]]
          when "refused"
            asked = operation(facts["operation"])
            Core::Wording["asked for what their role does not allow: %{operation}", operation: asked]
          when "session_ended"
            in_device(Core::Wording["ended a session of %{person}", person: name(facts["whose"])], facts["device"])
          when "person_added"
            gap = {person: name(facts["id"])}
            who ? Core::Wording["added %{person}", **gap] : Core::Wording["%{person} was added", **gap]
          when "person_changed"
            changed(facts, who)
          when "password_changed"
            password(facts["id"], who)
          when "made_anonymous"
            Core::Wording["made %{person} anonymous", person: name(facts["id"])]
          else
            words_of_things(kind, facts)
          end
        end

        def words_of_things(kind, facts)
          case kind
          when "token_made"
            if facts["restored"]
              Core::Wording["kept token %{token}, across a restore", token: facts["id"]]
            else
              Core::Wording["created the token “%{token}”", token: facts["name"] || facts["id"]]
            end
          when "token_ended"
            [
              Core::Wording["ended the token “%{token}”", token: facts["name"] || facts["id"]],
              (Core::Wording[" of %{person}", person: name(facts["whose"])] if facts["whose"]),
              (": #{facts["why"]}" if facts["why"])
            ].join
          when "backup_made"
            Core::Wording["created the backup %{backup}", backup: facts["backup"]]
          when "backup_downloaded"
            Core::Wording["downloaded the backup %{backup}", backup: facts["backup"]]
          when "backup_deleted"
            Core::Wording["deleted the backup %{backup}", backup: facts["backup"]]
          when "restore_proven"
            if facts["sound"]
              Core::Wording["restored the backup %{backup} into a copy: all is sound", backup: facts["backup"]]
            else
              Core::Wording["restored the backup %{backup} into a copy: it is not sound", backup: facts["backup"]]
            end
          when "log_moved"
            Core::Wording["moved older entries of the change log into %{file}, up to entry %{entry}",
              file: facts["files"].last[0], entry: facts["files"].last[2]]
          when "aside_ended"
            Core::Wording["deleted values of fields and tables that were deleted a year ago: %{count} tables",
              count: facts["tables"]]
          when "restored"
            restored(facts)
          when "scripts_changed"
            if facts["name_versions"]
              Core::Wording["set that scripts say which version they change"]
            else
              Core::Wording["set that scripts need not say which version they change"]
            end
          when "demo_ended"
            count = facts["people"].to_a.length
            Core::Wording["ended the demo: %{count} people can no longer sign in without a password", count: count]
          else
            kind.tr("_", " ")
          end
        end

        def in_device(words, device)
          device ? Core::Wording["%{event} in %{device}", event: words, device: device] : words
        end

        def restored(facts)
          entry, seal = facts.fetch("cut_off", {}).values_at("entry", "seal")
          cut_off = {entry: entry, seal: seal.to_s[0, 12], copy: facts["copy"]}
          Core::Wording["restored %{backup}; what was there up to entry %{entry} (seal %{seal}…) is in %{copy}",
            backup: facts["backup"], **cut_off]
        end

        def changed(facts, who)
          gap = {person: name(facts["id"])}
          return Core::Wording["kept how %{person} can sign in, across a restore", **gap] if facts["restored"]
          return Core::Wording["changed %{person}: role, sign-in name or whether they are active", **gap] if who

          Core::Wording["%{person} was changed: role, sign-in name or whether they are active", **gap]
        end

        def password(id, who)
          return Core::Wording["changed their own password"] if who == id

          person = name(id)
          return Core::Wording["set the password of %{person}", person: person] if who

          Core::Wording["the password of %{person} was set", person: person]
        end

        # @return [String] what it does, as the API's document says
        def operation(id) = Guard::Access.current.summary(id).then { |text| text.chomp(".").sub(/\A./, &:downcase) }

        def name(id) = UseCases::People::Directory.name(id)
      end
    end
  end
end
