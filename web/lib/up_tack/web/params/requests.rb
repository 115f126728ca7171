# frozen_string_literal: true

module UpTack
  module Web
    module Params
      # Helpers that read a request.
      module Requests
        # Bytes of a request's body at most.
        LARGEST_BODY = 8 * 1024 * 1024
        # Objects within one another in a body.
        DEEPEST_BODY = 12

        # Channels of the interface: pages on which records are typed.
        PAGES = %w[form grid].freeze
        # What a form is made of, as it is sent.
        FORM_PARTS = %w[name note sections order jumps skip_filled buttons].freeze

        # A request that can't be understood at all.
        class Malformed < StandardError; end

        # A script does not say which version it changes, though it has to.
        class Unconditional < StandardError
          def initialize = super(Core::Messages["web.requests.version_needed"])
        end

        # A body beyond LARGEST_BODY.
        class TooLarge < StandardError; end

        # @return [Workspace] of whoever is signed in
        def workspace = @workspace ||= Workspace.new(person: person)

        # The body as a hash. Numbers keep all their digits. Only JSON is taken, for
        # which a browser asks leave before it sends it from another site's page.
        # @raise [Malformed, TooLarge]
        def sent
          @sent ||=
            begin
              unless request.media_type == "application/json"
                raise Malformed,
                  Core::Messages["web.requests.send_body_as_application_json"]
              end

              parsed = JSON.parse(raw_body, decimal_class: BigDecimal, max_nesting: DEEPEST_BODY)
              raise Malformed, Core::Messages["web.requests.body_must_be_json_object"] unless parsed.is_a?(Hash)

              unsound =
                parsed
                  .find { |_, value| value.is_a?(String) && (value.include?("\u0000") || !value.valid_encoding?) }
                  &.first
              Core::Invalid.because(Core::Messages["web.requests.holds_character_is_no_text"], part: unsound) if unsound
              with_present_keys(parsed, params[:table])
            end
        rescue JSON::ParserError, EncodingError, ArgumentError
          raise Malformed, Core::Messages["web.requests.body_is_not_valid_json"]
        end

        # @return [Array<String>, nil] keys of fields named in the query, nil without the name
        def keys_in_query(name) =
          params[name]&.to_s&.scrub&.split(",")&.map { |key| present(params[:table], key.strip) }&.reject(&:empty?)

        # @return [Hash{Symbol=>String}] which records are wanted, and in which order, as Services::View takes it
        def view_in_query
          filter, sort, search = %i[filter sort search].map { |name| params[name].to_s.scrub }
          {
            filter: present_formula(filter, params[:table]), sort: present_sort(sort, params[:table]), search: search,
            changed_after: number_in_query("changed_after")&.clamp(0, 2**53)
          }
        end

        # A design is kept as JSON and shown everywhere, so its texts must be sound.
        # @return [Hash] the members named, as far as they are given
        def design_parts(*names)
          parts = sent.slice(*names)
          sound = lambda do |value|
            case value
            when String then value.valid_encoding? && !value.include?("\u0000") && value.length <= 20_000
            when Array then value.length <= 2_000 && value.all?(&sound)
            when Hash then value.length <= 2_000 && value.keys.all?(&sound) && value.values.all?(&sound)
            else true
            end
          end
          unsound = parts.keys.find { |name| !sound.call(parts[name]) }
          if unsound
            Core::Invalid.because(
              Core::Messages["web.requests.cant_be_kept"],
              part: unsound
            )
          end
          parts
        end

        # @return [Hash{String=>Object}] what was typed, by field key
        def typed
          given = sent["typed"]
          raise Malformed, Core::Messages["web.requests.typed_must_be_object_of_field_keys"] unless given.is_a?(Hash)

          given
        end

        # @return [Hash{String=>String}] by rule, why warnings are passed
        def reasons
          given = sent["reasons"] || {}
          unless given.is_a?(Hash) &&
              given.values.all? { |text| text.is_a?(String) && text.length <= 2_000 && !text.include?("\u0000") }
            raise Malformed, Core::Messages["web.requests.reasons_must_be_object_of_rules"]
          end

          given
        end

        # @return [Hash] form:, carried: and groups: of lines, as far as a form is filled in
        def filling_in
          form, carried, lines = sent.values_at("form", "carried", "lines")
          unless [form].compact.all? { |id| id.is_a?(String) && id.length <= 40 }
            raise Malformed, Core::Messages["web.requests.form_must_be_id_of_form"]
          end
          unless [carried].compact.all?(Hash)
            raise Malformed,
              Core::Messages["web.requests.carried_must_be_object_of_field_keys"]
          end
          unless [lines].compact.all? { |groups|
                   groups.is_a?(Array) && groups.length <= 20 && groups.all? { |group| group?(group) }
                 }
            raise Malformed, Core::Messages["web.requests.lines_must_be_list_of_tables_links"]
          end

          {
            form: form,
            carried: carried || {},
            groups:
              (lines || []).map do |group|
                UseCases::Lines::Group.new(
                  table: group["table"],
                  link: group["link"],
                  rows: group["rows"].map { |row| line(row) }
                )
              end
          }
        end

        # @return [Hash{String=>Object}, nil] the parts of a form that is being designed
        def form_tried
          parts = design_parts("form_parts")["form_parts"]
          unless parts.nil? || parts.is_a?(Hash)
            raise Malformed,
              Core::Messages["web.requests.form_parts_must_be_object"]
          end

          parts&.slice(*FORM_PARTS)
        end

        # @return [Array<Hash>, nil] the suggestions that are meant, nil for all of them
        def picked
          given = sent["picked"]
          sound =
            given.nil? ||
            (
              given.is_a?(Array) &&
                given.all? do |each|
                  each.is_a?(Hash) && each["id"].is_a?(Integer) && each.values_at("field", "before").all?(String)
                end
            )
          sound ? given : raise(Malformed, Core::Messages["web.requests.picked_must_be_list_of_records_fields"])
        end

        # @return [String] how a record comes in: from a page of the interface, else by program
        def channel = PAGES.find { |page| sent.values_at("channel", "way").include?(page) } || "api"

        # @return [Integer, nil] a whole number from the body
        # @raise [Malformed] for anything else
        def number_sent(name)
          value = sent[name]
          return value if value.nil? || (value.is_a?(Integer) && value.abs < 10**18)

          raise Malformed, Core::Messages["web.requests.must_be_whole_number", name: name]
        end

        # @return [Integer, nil] the version that `If-Match` asks for (RFC 9110, 13.1.1)
        # @raise [Malformed] for what is no ETag of a record
        def version_to_match
          header = request.env["HTTP_IF_MATCH"].to_s.strip
          return if header.empty? || header == "*"

          version = header[/\A"(\d{1,18})(?:-\h{16})?"\z/, 1] or
            raise Malformed, Core::Messages["web.requests.if_match_takes_etag"]
          version.to_i
        end

        # @param told [Integer, nil] a version that the request names in another way
        # @return [Integer, nil] the version that is to be changed
        # @raise [Unconditional] where a script names none and has to
        def version_wanted(told) = needed(version_to_match || told)

        # @param version [Integer, nil] of a record that is to be changed
        # @return [Integer, nil] the same
        # @raise [Unconditional] where a script names none and has to
        def needed(version)
          raise Unconditional if version.nil? && by_token && UseCases::People::Scripts.name_versions?

          version
        end

        # @return [Integer, nil] a whole number from the query
        def number_in_query(name)
          text = params[name].to_s
          return if text.empty?

          whole_number(text) || raise(Malformed, Core::Messages["web.requests.must_be_whole_number", name: name])
        end

        # @return [Integer] the record in the path
        def record_id = whole_number(params[:id].to_s) || raise(Store::NotFound, Core::Messages[
          "web.requests.there_is_no_such_record"
        ])

        # @return [Hash{String=>String}] members of the body that are texts, as far as they are given
        # @raise [Malformed] for one that is something else
        def texts_sent(*names)
          sent
            .slice(*names)
            .each do |name, value|
              unless value.is_a?(String) && value.length <= 1_000
                raise Malformed, Core::Messages["web.requests.must_be_text", name: name]
              end
            end
        end

        private

        def group?(group)
          group.is_a?(Hash) && group.values_at("table", "link").all?(String) && group["rows"].is_a?(Array) &&
            group["rows"].all? do |row|
              row.is_a?(Hash) && (row["typed"].nil? || row["typed"].is_a?(Hash)) &&
                row
                  .values_at("id", "version")
                  .all? { |number| number.nil? || (number.is_a?(Integer) && number.abs < 10**18) }
            end
        end

        def line(row) =
          UseCases::Lines::Row.new(
            id: row["id"],
            version: row["version"],
            typed: row["typed"] || {},
            gone: row["gone"] == true
          )

        def whole_number(text) = text.match?(/\A\d{1,18}\z/) ? text.to_i : nil

        def raw_body
          raise TooLarge if request.content_length.to_i > LARGEST_BODY

          text = request.body.read(LARGEST_BODY + 1).to_s.dup.force_encoding(Encoding::UTF_8)
          raise TooLarge if text.bytesize > LARGEST_BODY
          raise Malformed, Core::Messages["web.requests.body_is_not_valid_utf_8"] unless text.valid_encoding?

          text
        end
      end
    end
  end
end
