# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A table: its fields and the rules pinned on them, both in their order.
      # aliases:: keys that it had before it was renamed, by which programs still know it
      # one:: what a single record of it is called, "Piece" of "Pieces"
      # title:: key of the field by which people know a record, nil for the first text
      # filters:: kept conditions on its records
      # review:: when suggestions are looked for and whom to tell: "every" (hour,
      #   day or week), "weekday" (1 for Monday), "hour" and "person", a number; nil for never
      # log:: which fields the change log watches: {"only" => ids} or {"all_but" => ids}, nil for all
      # access:: by role, what people may do with the table, see Access
      # forms:: its Forms, in their order
      # proofs:: its Proofs, in their order
      # neighbours:: the other tables of the project, see Neighbours
      Table =
        Struct.new(
          :id,
          :key,
          :label,
          :aliases,
          :one,
          :note,
          :title,
          :review,
          :log,
          :access,
          :fields,
          :rules,
          :filters,
          :forms,
          :proofs,
          :neighbours,
          keyword_init: true
        ) do
          # @param attributes [Hash{String=>Object}] from a design
          # @param neighbours [TableGraph]
          # @param shared [Hash] what Field.from takes besides
          def self.from(attributes, neighbours = TableGraph.new, **shared)
            rules = (attributes["rules"] || []).map { |rule| Rules.from(rule) }.freeze
            bare = bare_masks(rules)
            named = rules.select { |rule| rule.names_person? }.flat_map { |rule| [rule.field, *rule.writes] }
            new(
              id: attributes["id"],
              key: attributes["key"],
              label: attributes["label"],
              aliases: (attributes["aliases"] || []).freeze,
              one: attributes["one"],
              note: attributes["note"],
              title: attributes["title"],
              review: attributes["review"],
              log: attributes["log"],
              access: attributes["access"],
              fields:
                (attributes["fields"] || [])
                  .map do |field|
                    Field.from(field, **shared, bare: bare[field["key"]], person: named.include?(field["key"]))
                  end
                  .freeze,
              rules: rules,
              filters: (attributes["filters"] || []).map { |filter| Filter.from(filter) }.freeze,
              forms: (attributes["forms"] || []).map { |form| Form.from(form) }.freeze,
              proofs: (attributes["proofs"] || []).map { |proof| Proof.from(proof) }.freeze,
              neighbours: neighbours
            ).freeze
          end

          # @return [Hash{String=>Masks::Mask}] by field key, those whose separators are not stored
          def self.bare_masks(rules)
            rules
              .select(&:masks?)
              .select { |rule| rule.bare? && rule.shape_problems.empty? }
              .to_h { |rule| [rule.field, rule.mask] }
          rescue Masks::Invalid
            {} # The inspection tells what is wrong.
          end

          # @return [Hash{String=>Object}]
          def attributes
            attributes = {"id" => id, "key" => key, "label" => label}
            attributes["aliases"] = aliases.dup if aliases.any?
            attributes.merge!(
              {
                "one" => one,
                "note" => note,
                "title" => title,
                "review" => review,
                "log" => log,
                "access" => access
              }.compact
            )
            attributes.merge!("fields" => fields.map(&:attributes), "rules" => rules.map(&:attributes))
            attributes["filters"] = filters.map(&:attributes) if filters.any?
            attributes["forms"] = forms.map(&:attributes) if forms.any?
            attributes["proofs"] = proofs.map(&:attributes) if proofs.any?
            attributes
          end

          # Looked up for every record, so it is found once.
          def initialize(fields:, rules: [], title: nil, aliases: [].freeze, **rest)
            super
            @calculations = rules.select(&:calculates?).reverse.to_h { |rule| [rule.field, rule] }.freeze
            @owned = rules.select(&:owns?).to_h { |rule| [rule.field, true] }.freeze
            @by_key = fields.reverse.to_h { |field| [field.key, field] }.freeze
            @title_field = field(title.to_s) || fields.find { |field| field.one_line? }
          end

          # @return [Field, nil] that by which people know a record
          attr_reader :title_field

          # @return [Field, nil]
          def field(key) = @by_key[key]

          # @param key [String] that a program uses
          # @return [String] the one that the field has now, where it was renamed since
          def present_key(key) = field(key) ? key : fields.find { |field| field.aliases.include?(key) }&.key || key

          # @param id [String] of one of its rules
          # @param rule [Rules::Rule, nil] in its place; nil leaves it out
          # @param neighbours [TableGraph]
          # @return [Table] the same with that, not checked
          def with_rule(id, rule, neighbours = self.neighbours)
            changed = rules.filter_map { |each| (each.id == id) ? rule : each }.freeze
            bare = (changed.any? { |each| each.masks? && each.bare? }) ? Table.bare_masks(changed) : {}
            kept =
              fields
                .map do |field|
                  if field.bare&.words == bare[field.key]&.words
                    field
                  else
                    Field.new(**field.to_h, bare: bare[field.key]).freeze
                  end
                end
                .freeze
            Table.new(**to_h, fields: kept, rules: changed, neighbours: neighbours).freeze
          end

          # @return [Rules::Rule, nil]
          def rule(id) = rules.find { |rule| rule.id == id }

          # @return [Design::Proof, nil]
          def proof(id) = proofs.find { |proof| proof.id == id }

          # @param id [String, nil]
          # @return [Form, nil] one of its forms; "all" is that which every table has
          def form(id) = (id == "all") ? Form.usual(self) : forms.find { |form| form.id == id }

          # @param form [Form]
          # @return [Table] the same as somebody fills in a form: what that begins with
          #   stands before what the table begins with
          def on(form)
            own = form.field_items.reject { |item| item["default"].to_s.strip.empty? }
            begun =
              own.map do |item|
                Rules.from(
                  "id" => "#{form.id}.#{item["field"]}",
                  "kind" => "default",
                  "field" => item["field"],
                  "formula" => item["default"]
                )
              end
            replaced = own.map { |item| item["field"] }
            Table.new(
              **to_h,
              rules: [
                *begun,
                *rules.reject { |rule| rule.defaults? && replaced.include?(rule.field) }
              ].freeze
            ).freeze
          end

          # @return [Linting::RuleLinter] what a builder should know of its rules
          def notices = neighbours.notices(self)

          # @return [Array<Rules::Rule>] its rules but for those that can't act, as an earlier version left them
          def acting_rules = rules.reject { |rule| neighbours.suspended?(rule) }

          # @return [Kinds::Calculation, nil] the rule that works a field out
          def calculation(key) = @calculations[key]

          # @return [Boolean] whether the field follows a formula and can't be typed
          def worked_out?(key) = !(rule = calculation(key)).nil? && !rule.once?

          # @return [Boolean] whether a rule alone gives the field its values
          def rule_owned?(key) = worked_out?(key) || @owned.key?(key)

          # @param key [String] of a field
          # @return [Masks::Mask, nil] how it is typed
          def mask(key) = rules.find { |rule| rule.masks? && rule.field == key }&.mask

          # @return [Boolean] whether the change log watches the field
          def logged?(field)
            return true unless log

            log["only"] ? log["only"].include?(field.id) : !log["all_but"].to_a.include?(field.id)
          end

          # @return [Boolean] whether people of a role may do something with its records:
          #   :see, :edit or :delete
          def allows?(role, what) = Access.table(access, role, what)

          # @return [Boolean] whether values of the field are kept with the records
          def kept?(key) = neighbours.upkeep.kept?(self.key, key)

          # @return [Array<Field>] those that have a column
          def kept_fields = fields.select { |field| kept?(field.key) }

          # @return [Expression::Scope] the names that its formulas may use
          def scope = neighbours.scope(self)

          # @return [String] what a single record is called
          def record_name = one || "Record"

          # Tables are told apart by what is in them; what they know of each other is no part of that.
          def inspect = "#<Table #{key}>"
        end
    end
  end
end
