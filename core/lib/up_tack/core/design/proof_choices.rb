# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Choices under their new names in what a proof types, brings along and expects.
      class ProofChoices
        # @param renamed [RenamedChoices]
        # @param project [Project] before
        # @param table [Table] that of the proof
        def initialize(renamed, project, table)
          @renamed = renamed
          @project = project
          @table = table
        end

        # @param proof [Design::Proof]
        # @return [Hash{String=>Object}] plain
        def rename(proof)
          attributes = proof.attributes
          (attributes["records"] || {}).each { |key, all| all.transform_values! { |values| named(values, key) } }
          (attributes["acts"] || []).each { |act| act(act) }
          attributes["expect"].each do |each|
            %w[is before after].each do |part|
              each[part] = one(@table.key, each["field"], each[part]) if each.key?(part)
            end
          end
          attributes
        end

        private

        def act(act)
          act["value"] = one(@table.key, act["field"], act["value"]) if act.key?("value")
          act["values"] = named(act["values"], @table.key) if act["values"]
          (act["rows"] || []).each { |row| row["values"] = named(row["values"], act["table"]) if row["values"] }
        end

        def named(values, table) = values.to_h { |field, value| [field, one(table, field, value)] }
        def one(table, field, value) = value.is_a?(String) ? @renamed.name(table, field, value) : value
      end
    end
  end
end
