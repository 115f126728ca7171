# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # A table of people as vCards: one that has a name, and an e-mail address or a telephone number by what its fields
      # are called.
      class Contacts < Feed
        # By the words of a field's label, which property of a vCard (RFC 6350, section 6) it is.
        CALLED = {
          /\be-?mails?\b|\bmail\b/ => "EMAIL",
          /\b(?:mobile|cell|handy)\b/ => "TEL;TYPE=cell",
          /\b(?:tele)?phone\b|\btel\b|\btelefon\b/ => "TEL",
          /\b(?:website|web|homepage|url)\b/ => "URL",
          /\b(?:birthday|birth date|date of birth|born)\b/ => "BDAY",
          /\b(?:firm|company|organi[sz]ation)\b/ => "ORG",
          /\bjob title\b|\bposition\b/ => "TITLE",
          /\bnotes?\b|\bremarks?\b/ => "NOTE"
        }.freeze
        # Parts of an address in their order in ADR, of which the first two stay empty.
        ADDRESS = [
          /\bstreet\b|\baddress\b/, /\b(?:town|city)\b/, /\b(?:county|region|state)\b/,
          /\b(?:post ?code|postal code|zip)\b/, /\bcountry\b/
        ].freeze
        # By what somebody is reached: a table without is no table of people.
        REACHED = %w[EMAIL TEL].freeze

        class << self
          # @return [Boolean] whether contacts can be made of a table
          def of?(table, visible) = properties(table, visible).values.any? { |name| REACHED.include?(name[/\A\w+/]) }

          # @return [Hash{Core::Design::Field=>String}] properties of the fields that somebody may see
          def properties(table, visible)
            return {} if table.title_field.nil? || !visible.field?(table.title_field)

            visible.fields(table).filter_map { |field|
              name = CALLED.find { |called, _| field != table.title_field && called?(field, called) }&.last
              [field, name] if name && fits?(field, name)
            }.to_h
          end

          # @return [Array<Core::Design::Field, nil>] for each part of ADDRESS
          def address(table, visible)
            open = visible.fields(table) - [table.title_field, *properties(table, visible).keys]
            ADDRESS.map { |called| open.find { |field| (field.one_line? || field.listed?) && called?(field, called) } }
          end

          private

          def called?(field, called) = Core::Unicode.folded(field.label).match?(called)

          # A day is no text, and only a birthday is a day.
          def fits?(field, name) = (name == "BDAY") == Calendar::DATED.include?(field.values.json_schema["format"])
        end

        # @param table [String] key
        # @param io [#<<]
        # @param view [Hash] filter: and search:, as View takes them
        # @return [void] when all cards are written
        # @raise [Core::Invalid, Store::NotFound]
        def call(table:, io:, **view)
          design = @workspace.table(table)
          unless Contacts.of?(design, @workspace.visibility)
            Core::Invalid.because(Core::Messages["use_cases.exports.no_contacts", table: design.label], part: "table")
          end

          @properties = Contacts.properties(design, @workspace.visibility)
          @address = Contacts.address(design, @workspace.visibility)
          each_record(design, design.title_field.key, view) do |id, values, context|
            Interchange::Feeds::Contacts.write([card(design, id, values, context)], io)
          end
        end

        private

        def card(table, id, values, context)
          shown = ->(field) { field.show(values[field.key], context.records) }
          said = @properties.filter_map do |field, name|
            value = values[field.key]
            [name, value.is_a?(Date) ? value : shown.call(field)] unless value.nil?
          end
          parts = @address.map { |field| field ? shown.call(field).gsub(/\s*\n\s*/, ", ") : "" }
          said << ["ADR", ["", "", *parts]] unless parts.all?(&:empty?)
          Interchange::Feeds::Contacts::Card.new(
            uid: uid(table.id, id), name: title(table, id, values, context), properties: said
          )
        end
      end
    end
  end
end
