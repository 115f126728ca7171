# frozen_string_literal: true

module UpTack
  module Web
    module Helpers
      # Helpers that write a response.
      module Responses
        # @param data [Object] for JSON
        def json(data, status: 200)
          self.status(status)
          content_type "application/json"
          JSON.generate(data)
        end

        # @return [Hash] the session of whoever is signed in
        def session_json = Render::Session.render(Workspace.new(person: person), write_key)

        # Stops with problem details after RFC 9457.
        # @param code [String] for programs
        # @param title [String] a sentence for people
        def problem(status, code, title, **details)
          halt status, {"Content-Type" => "application/problem+json"},
            JSON.generate({type: "about:blank", title: title, status: status, code: code, **details})
        end

        # The table as the board shows it.
        def table_json(key, status: 200)
          json(Render::Table.new(workspace).full(workspace.table(key)), status: status)
        end

        # A record with its ETag, which begins with its version: what else is in it, such as the names of linked
        # records, may be another while the record is the same.
        # @param record [Hash] as Render::Record gives it
        def record_json(record, status: 200)
          text = JSON.generate(record)
          if record[:version]
            headers "ETag" => %("#{record[:version]}-#{Digest::SHA256.hexdigest(text)[0, 16]}")
          end
          self.status(status)
          content_type "application/json"
          text
        end

        # What came of a wish to save: the record, or why not.
        # @param answer [Services::SaveResult]
        def saved_or_problem(key, answer, status: 200)
          table = workspace.table(key)
          record = answer.record && Render::Record.new(workspace, table).render(answer.record)
          case answer.state
          when :saved
            headers "Location" => url("/api/tables/#{key}/records/#{record[:id]}", false) if status == 201
            record_json(record, status: status)
          when :linked
            reasons = answer.reasons.join(" ")
            problem(422, "linked", Core::Messages["web.responses.not_deleted_others_need", reasons: reasons])
          when :conflict
            problem(
              request.env["HTTP_IF_MATCH"] ? 412 : 409,
              "changed_meanwhile",
              Core::Messages["common.somebody_else_changed_record_meanwhile"],
              record: record,
              theirs: Render::Entry.new(workspace).all(answer.theirs)
            )
          else
            count =
              answer.outcome.refusals.length +
              (answer.lines || []).flatten(1).compact.sum { |line| line.outcome.refusals.length }
            problem(
              422,
              "refused",
              Core::Messages["web.responses.not_saved", count: count],
              answer: Render::SaveResult.new(workspace, table).render(answer)
            )
          end
        end
      end
    end
  end
end
