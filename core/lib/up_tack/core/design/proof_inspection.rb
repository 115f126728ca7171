# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What keeps a proof from being kept: parts that are not of the right shape. What it
      # names may be gone meanwhile; then it is broken, which is for it to tell.
      class ProofInspection
        MOST_EXPECTATIONS = 100

        # @param proof [Design::Proof]
        # @param table [Table]
        # @param conventions [Conventions]
        def initialize(proof, table, conventions)
          @proof = proof
          @table = table
          @conventions = conventions
          @script = proof.script
        end

        # @return [Array<Core::Problem>]
        def problems
          title = @proof.name.is_a?(String) ? "Proof #{Values::Plain.quoted(@proof.name, 60)}" : "A proof"
          [name, moment, person, start, records, *acts, *expectations].compact.map do |part, message|
            Problem.new(part: part, message: "#{title}: #{message}")
          end
        end

        private

        def name
          unless short?(@proof.name, 1, Proof::LONGEST_NAME)
            return "name", "it needs a name of up to #{Proof::LONGEST_NAME} characters."
          end
          unless @proof.group.nil? || short?(@proof.group, 1, Proof::LONGEST_NAME)
            return "group", "its group is a short text."
          end

          unless @proof.note.nil? || short?(@proof.note, 0, 2_000)
            ["note", "its note is a text of up to 2,000 characters."]
          end
        end

        def moment
          unless ScriptClock.at(@script["at"], @conventions)
            ["at", "it needs a date and time, such as 2026-11-23T09:30."]
          end
        end

        def person
          attributes = @script["person"]
          ["person", "it needs a person with a name and a role."] unless attributes.nil? || person?(attributes)
        end

        def person?(attributes) =
          attributes.is_a?(Hash) && attributes.slice("name", "email", "role").values.compact.all?(String) &&
            [nil, *Access::ROLES].include?(attributes["role"])

        def start
          attributes = @script["start"]
          if attributes.nil? ||
              (
                attributes.is_a?(Hash) &&
                  (
                    attributes["from"] == "new" ||
                      (%w[copy real].include?(attributes["from"]) && attributes["record"].is_a?(Integer))
                  )
              )
            return
          end

          ["start", "it starts from a new record, a copy of one of its records, or one of them."]
        end

        def records
          attributes = @script["records"]
          return if attributes.nil?
          unless attributes.is_a?(Hash) &&
              attributes.values.all? { |all|
                all.is_a?(Hash) &&
                    all.all? do |id, values|
                      id.to_s.match?(/\A[1-9]\d{0,17}\z/) && values.is_a?(Hash) &&
                          values.values.all? { |value| scalar?(value) }
                    end
              }
            return "records", "its records are listed by table and number."
          end

          if attributes.values.sum(&:length) > Script::MOST_RECORDS
            ["records", "it can have up to #{Script::MOST_RECORDS} records."]
          end
        end

        def acts
          all = @script["acts"]
          return [] if all.nil?
          unless all.is_a?(Array) && all.length <= Script::MOST_ACTS
            return [["acts", "its actions must be a list of up to #{Script::MOST_ACTS}."]]
          end

          all.each_with_index.filter_map do |act, index|
            ["acts", "action #{index + 1} does not exist."] unless act?(act)
          end
        end

        def act?(act)
          return false unless act.is_a?(Hash) && Script::ACTS.include?(act["do"])

          case act["do"]
          when "type"
            act["field"].is_a?(String) && scalar?(act["value"])
          when "fill_in"
            act["values"].is_a?(Hash) && act["values"].values.all? { |value| scalar?(value) }
          when "lines"
            lines?(act)
          when "pass"
            act.values_at("rule", "reason").all?(String)
          when "wait"
            act.values_at("days", "hours").compact.all? { |count| count.is_a?(Integer) && count.between?(0, 36_500) }
          when "as"
            person?(act["person"])
          else
            true
          end
        end

        def lines?(act)
          link = @table.neighbours.tables[act["table"].to_s]&.field(act["link"].to_s)
          unless link&.link? && link.target == @table.key && act["rows"].is_a?(Array) &&
              act["rows"].length <= MOST_EXPECTATIONS
            return false
          end

          act["rows"].all? do |row|
            row.is_a?(Hash) && (row["id"].nil? || row["id"].is_a?(Integer)) &&
              (
                row["values"].nil? ||
                  (row["values"].is_a?(Hash) && row["values"].values.all? { |value| scalar?(value) })
              )
          end
        end

        def expectations
          all = @proof.expect
          unless all.is_a?(Array) && all.length <= MOST_EXPECTATIONS
            return [["expect", "what it expects is a list of up to #{MOST_EXPECTATIONS}."]]
          end
          return [["expect", "add at least one expectation."]] if all.empty?

          all.each_with_index.filter_map do |attributes, index|
            ["expect", "what it expects as number #{index + 1} can't be understood."] unless expectation?(attributes)
          end
        end

        def expectation?(attributes)
          return false unless attributes.is_a?(Hash) && Expectation::WHAT.include?(attributes["what"])
          return false unless [nil, *1..Script::MOST_ACTS].include?(attributes["act"])
          unless attributes
              .values_at("field", "rule", "message", "fits", "after", "to")
              .compact
              .all? { |part| scalar?(part) }
            return false
          end

          case attributes["what"]
          when "value"
            attributes["field"].is_a?(String) && attributes.key?("is") && scalar?(attributes["is"])
          when "state"
            attributes["field"].is_a?(String) && Expectation::STATES.include?(attributes["is"])
          when "number", "logged", "unlogged"
            attributes["field"].is_a?(String)
          when "cursor"
            attributes["after"].is_a?(String)
          else
            true
          end
        end

        def scalar?(value) =
          value.nil? || value == true || value == false || value.is_a?(Numeric) ||
            (value.is_a?(String) && value.length <= 100_000)

        def short?(text, least, most) =
          text.is_a?(String) && text.strip.length >= least && text.length <= most &&
            !text.match?(/[[:cntrl:]&&[^\n\t]]/)
      end
    end
  end
end
