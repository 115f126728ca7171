# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A field of a table.
      # id:: stays the same through renaming, such as "f12"
      # key, label:: for formulas, and for people
      # aliases:: keys that it had before it was renamed, by which programs still know it
      # type:: key of a Values type
      # decimals:: for numbers: how many are taken, nil for any
      # choices:: for choices: the list, in its order, retired ones included
      # retired:: those of them that old records keep and new ones can't have
      # list:: for choices: id of the project's list that it uses, nil for one of its own
      # format:: how values are shown, see format_parts of each type; "blank" for all of them
      # target:: for links: key of the table it points to
      # on_delete:: for links: what happens when the linked record is deleted,
      #   "refuse" (that deletion), "clear" (this value) or "delete" (this record along)
      # reverse:: for links: what the other side calls the records that link to
      #   it, nil for this table's own name
      # note:: the builder's own words
      # access:: by role, whether people may "edit" or only "see" it, or see "nothing" of it
      # closed:: for links: roles that may not see the table to which it leads
      # conventions:: how the firm writes
      # person:: whether a rule writes in it who did something
      # bare:: the Masks::Mask whose separators are left out in the store, nil mostly
      Field =
        Struct.new(
          :id,
          :key,
          :label,
          :aliases,
          :type,
          :decimals,
          :choices,
          :retired,
          :list,
          :format,
          :target,
          :on_delete,
          :reverse,
          :note,
          :access,
          :closed,
          :conventions,
          :bare,
          :person,
          keyword_init: true
        ) do
          # @param attributes [Hash{String=>Object}] from a design
          # @param lists [Array<ChoiceList>] those of the project
          # @param closed [Hash{String=>Array<String>}] roles that may not see a table, by its key
          def self.from(attributes, lists: [], conventions: Conventions.from({}), bare: nil, closed: {}, person: false)
            link = attributes["type"] == "link"
            list = lists.find { |each| each.id == attributes["list"] } if attributes["type"] == "choice"
            new(
              id: attributes["id"],
              key: attributes["key"],
              label: attributes["label"],
              aliases: (attributes["aliases"] || []).freeze,
              type: attributes["type"],
              decimals: attributes["decimals"],
              choices: (list ? list.values : attributes["choices"] || []).freeze,
              retired: (list ? list.retired : attributes["retired"] || []).freeze,
              list: attributes["list"],
              format: attributes["format"],
              target: (attributes["target"] if link),
              on_delete: (attributes["on_delete"] || "refuse" if link),
              reverse: (attributes["reverse"] if link),
              note: attributes["note"],
              access: attributes["access"],
              closed: ((link && closed[attributes["target"]]) || []).freeze,
              conventions: conventions,
              bare: bare,
              person: person && %w[text long_text].include?(attributes["type"])
            ).freeze
          end

          def initialize(
            aliases: [].freeze,
            closed: [].freeze,
            person: false,
            choices: [].freeze,
            retired: [].freeze,
            conventions: Conventions.from({}),
            **rest
          )
            super
            @values = Values.all[type]
            @link = @values&.link? == true
          end

          # @return [Hash{String=>Object}] without what is not set
          def attributes
            attributes = {"id" => id, "key" => key, "label" => label, "type" => type}
            attributes["aliases"] = aliases.dup if aliases.any?
            attributes["decimals"] = decimals if type == "number" && decimals
            if type == "choice"
              attributes.merge!(
                if list
                  {"list" => list}
                else
                  {"choices" => choices.dup, "retired" => retired.dup}.reject do |part, all|
                    part == "retired" && all.empty?
                  end
                end
              )
            end
            attributes["format"] = format if format.is_a?(Hash) && format.any?
            attributes.merge!("target" => target, "on_delete" => on_delete) if link?
            attributes["reverse"] = reverse if link? && reverse.to_s != ""
            attributes["note"] = note unless note.nil? || note == ""
            attributes["access"] = access if access.is_a?(Hash) && access.any?
            attributes
          end

          # What its type is for, see Values::Type.
          %i[
            textual? one_line? long? listed? yes_no? numeric? day? moment? clock? ordered? folded?
          ].each { |question| define_method(question) { !@values.nil? && @values.public_send(question) } }

          # Asked more often than the others, by far.
          # @return [Boolean]
          def link? = @link

          # @return [Boolean] whether people of a role may :see or :edit it
          def allows?(role, what) = !closed.include?(role) && Access.field(access, role, what)

          # @return [Module] one of Values
          def values = @values || Values[type]

          # @return [Symbol] what it is in an expression
          def kind = values.kind

          # @return [Object, nil, Values::Unreadable]
          def read(raw, reading) = values.read(raw, self, reading)

          # @param records [#title] names linked records; without it a link is shown by its number
          # @return [String] the value in its reading format
          def show(value, records = nil)
            (link? && records) ? values.show(value, self, records) : values.show(value, self)
          end

          # @return [String] the value as one would type it
          def edit(value, records = nil)
            (value.nil? || link?) ? show(value, records) : values.edit(value, self)
          end

          # @return [String] what stands where there is no value
          def blank = format.to_h["blank"].to_s

          # @return [Array<String>] the choices that a new record can have
          def open_choices = choices - retired

          # Brings a computed value into what the field can hold: numbers are
          # rounded to its decimals, a choice must be one of its list.
          # @return [Object, nil, Values::Unreadable]
          def coerce(value)
            values.coerce(value, self) unless value.nil?
          end
        end
    end
  end
end
