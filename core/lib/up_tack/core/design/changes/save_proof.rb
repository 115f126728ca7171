# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Keeps a proof, or several at once, or changes one.
        class SaveProof < Change
          # @return [Array<String>] ids of the proofs
          attr_reader :ids

          # @param table [String] key
          # @param proofs [Array<Hash{String=>Object}>] plain; one with an id takes the place
          #   of that which has it
          # @param today [Date, nil] for days typed as "tomorrow"
          def initialize(table:, proofs:, today: nil)
            @today = today
            @table = table
            @proofs = proofs
            @ids = []
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            kept = (table["proofs"] ||= [])
            if kept.length + @proofs.length > Proof::MOST
              Invalid.because(Messages["design.save_proof.table_has_at_most_proofs", most: Proof::MOST], part: "proofs")
            end
            @reading = ParseContext.new(conventions: project.conventions, today: @today)
            @project = project
            @design = project.table(@table)
            @ids =
              @proofs.map { |proof| keep(attributes, kept, proof.merge("name" => tidy_label(proof["name"])), table) }
            @summary = "#{sentence} #{@proofs.first["id"] ? "changed" : "kept"} in #{table["label"]}"
            build(project, attributes)
          end

          private

          def keep(attributes, kept, proof, table)
            proof = Proof.from(normalized(proof)).attributes
            unless proof["id"]
              id = next_id(attributes, "p")
              kept << {"id" => id}.merge(proof)
              return id
            end
            index =
              kept.index { |each| each["id"] == proof["id"] } ||
              Invalid.because(Messages["design.all.there_is_no_such_proof", table: table["label"]], part: "id")
            kept[index] = proof
            proof["id"]
          end

          def normalized(proof)
            expect = proof["expect"]
            return proof unless expect.is_a?(Array) && expect.all?(Hash)

            proof.merge(
              "expect" => expect.map { |each| Expectation.from(each).normalized(@design, @reading) },
              "records" => records(proof["records"])
            ).compact
          end

          # The proof's own records, with what the builder typed as it is kept.
          def records(given)
            unless given.is_a?(Hash) && given.values.all? { |all| all.is_a?(Hash) && all.values.all?(Hash) }
              return given
            end

            given.to_h do |key, all|
              [key, (table = @project.table(key)) ? all.transform_values { |values| kept(table, values) } : all]
            end
          end

          def kept(table, values)
            values.to_h do |key, stored|
              field = table.field(key)
              next [key, stored] if field.nil? || field.link? || !stored.is_a?(String)

              value = field.read(stored, @reading)
              [key, value.is_a?(Values::Unreadable) ? stored : Values.dump(value)]
            end
          end

          def sentence =
            if @proofs.one?
              "Proof #{Values::Plain.quoted(@proofs.first["name"].to_s, 60)}"
            else
              "#{@proofs.length} proofs"
            end
        end
      end
    end
  end
end
