# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Carries a new key of a field or table through the parts of a proof.
      module ProofRewriter
        module_function

        # @param proof [Design::Proof]
        # @param table [Table] its own, before the renaming
        # @param of [String] key of the table in which something is renamed
        # @param key [String, nil] key of the field; nil when the table itself is renamed
        # @return [Hash{String=>Object}] the proof under the new name, plain
        def renamed(proof, table, of:, key:, to:)
          attributes = proof.attributes
          records = attributes["records"] || {}
          return under_new_table(attributes, records, of, to) if key.nil?

          swap = ->(named) { (named == key) ? to : named }
          records[of]&.transform_values! { |values| values.transform_keys(&swap) }
          own_parts(attributes, swap) if table.key == of
          (attributes["acts"] || []).each { |act| line_parts(act, swap) if act["do"] == "lines" && act["table"] == of }
          attributes
        end

        def under_new_table(attributes, records, of, to)
          (attributes["acts"] || []).each { |act| act["table"] = to if act["table"] == of }
          return attributes if records.empty?

          attributes.merge("records" => records.transform_keys { |each| (each == of) ? to : each })
        end

        def line_parts(act, swap)
          act["link"] = swap.call(act["link"])
          act["rows"].each { |row| row["values"] = row["values"].transform_keys(&swap) if row["values"] }
        end

        def own_parts(attributes, swap)
          (attributes["acts"] || []).each do |act|
            act["field"] = swap.call(act["field"]) if act["field"]
            act["values"] = act["values"].transform_keys(&swap) if act["values"]
          end
          attributes["expect"].each do |each|
            %w[field after to].each { |part| each[part] = swap.call(each[part]) if each[part] }
          end
        end
      end
    end
  end
end
