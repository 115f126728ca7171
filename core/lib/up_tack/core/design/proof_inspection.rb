# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What keeps a proof from being kept: parts that are not of the right shape. What it
      # names may be gone meanwhile; then it is broken, which is for it to tell.
      class ProofInspection
        MOST_EXPECTATIONS = 100

        # @param proof [Bench::Proof]
        # @param table [Table]
        # @param conventions [Conventions]
        def initialize(proof, table, conventions)
          @proof = proof
          @table = table
          @conventions = conventions
          @script = proof.script
        end

        # @return [Array<Problem>]
        def problems
          [name, moment, person, start, records, *acts, *expectations].compact.map { |part, message| Problem.new(part: part, message: "#{@proof.name.is_a?(String) ? "Proof #{Values::Plain.quoted(@proof.name, 60)}" : "A proof"}: #{message}") }
        end

        private

        def name
          return ["name", "it needs a name of up to #{Bench::Proof::LONGEST_NAME} characters."] unless short?(@proof.name, 1, Bench::Proof::LONGEST_NAME)
          return ["group", "its group is a short text."] unless @proof.group.nil? || short?(@proof.group, 1, Bench::Proof::LONGEST_NAME)

          ["note", "its note is a text of up to 2,000 characters."] unless @proof.note.nil? || short?(@proof.note, 0, 2_000)
        end

        def moment
          ["at", "it plays at a day and an hour, such as 2026-11-23T09:30."] unless Bench::Clock.at(@script["at"], @conventions)
        end

        def person
          plain = @script["person"]
          ["person", "somebody with a name and a role acts."] unless plain.nil? || person?(plain)
        end

        def person?(plain) = plain.is_a?(Hash) && plain.slice("name", "email", "role").values.compact.all?(String) && [nil, *Access::ROLES].include?(plain["role"])

        def start
          plain = @script["start"]
          return if plain.nil? || (plain.is_a?(Hash) && (plain["from"] == "new" || (%w[copy real].include?(plain["from"]) && plain["record"].is_a?(Integer))))

          ["start", "it begins with a new record, a copy of one of its records, or one of them."]
        end

        def records
          plain = @script["records"]
          return if plain.nil?
          return ["records", "its records are listed by table and number."] unless plain.is_a?(Hash) && plain.values.all? { |all| all.is_a?(Hash) && all.all? { |id, values| id.to_s.match?(/\A[1-9]\d{0,17}\z/) && values.is_a?(Hash) && values.values.all? { |value| scalar?(value) } } }

          ["records", "it brings at most #{Bench::Script::MOST_RECORDS} records."] if plain.values.sum(&:length) > Bench::Script::MOST_RECORDS
        end

        def acts
          all = @script["acts"]
          return [] if all.nil?
          return [["acts", "its acts are a list of up to #{Bench::Script::MOST_ACTS}."]] unless all.is_a?(Array) && all.length <= Bench::Script::MOST_ACTS

          all.each_with_index.filter_map { |act, index| ["acts", "act #{index + 1} is none that there is."] unless act?(act) }
        end

        def act?(act)
          return false unless act.is_a?(Hash) && Bench::Script::ACTS.include?(act["do"])

          case act["do"]
          when "type" then act["field"].is_a?(String) && scalar?(act["value"])
          when "fill_in" then act["values"].is_a?(Hash) && act["values"].values.all? { |value| scalar?(value) }
          when "lines" then lines?(act)
          when "pass" then act.values_at("rule", "reason").all?(String)
          when "wait" then act.values_at("days", "hours").compact.all? { |count| count.is_a?(Integer) && count.between?(0, 36_500) }
          when "as" then person?(act["person"])
          else true
          end
        end

        def lines?(act)
          link = @table.neighbours.tables[act["table"].to_s]&.field(act["link"].to_s)
          return false unless link&.link? && link.target == @table.key && act["rows"].is_a?(Array) && act["rows"].length <= MOST_EXPECTATIONS

          act["rows"].all? { |row| row.is_a?(Hash) && (row["id"].nil? || row["id"].is_a?(Integer)) && (row["values"].nil? || (row["values"].is_a?(Hash) && row["values"].values.all? { |value| scalar?(value) })) }
        end

        def expectations
          all = @proof.expect
          return [["expect", "what it expects is a list of up to #{MOST_EXPECTATIONS}."]] unless all.is_a?(Array) && all.length <= MOST_EXPECTATIONS
          return [["expect", "say at least one thing that must come out."]] if all.empty?

          all.each_with_index.filter_map { |plain, index| ["expect", "what it expects as number #{index + 1} can't be understood."] unless expectation?(plain) }
        end

        def expectation?(plain)
          return false unless plain.is_a?(Hash) && Bench::Expectation::WHAT.include?(plain["what"])
          return false unless [nil, *1..Bench::Script::MOST_ACTS].include?(plain["act"])
          return false unless plain.values_at("field", "rule", "message", "fits", "after", "to").compact.all? { |part| scalar?(part) }

          case plain["what"]
          when "value" then plain["field"].is_a?(String) && plain.key?("is") && scalar?(plain["is"])
          when "state" then plain["field"].is_a?(String) && Bench::Expectation::STATES.include?(plain["is"])
          when "number", "logged", "unlogged" then plain["field"].is_a?(String)
          when "cursor" then plain["after"].is_a?(String)
          else true
          end
        end

        def scalar?(value) = value.nil? || value == true || value == false || value.is_a?(Numeric) || (value.is_a?(String) && value.length <= 100_000)
        def short?(text, least, most) = text.is_a?(String) && text.strip.length >= least && text.length <= most && !text.match?(/[[:cntrl:]&&[^\n\t]]/)
      end
    end
  end
end
