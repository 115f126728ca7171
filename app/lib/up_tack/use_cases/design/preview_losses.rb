# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Says what deleting a field, or giving it another type, would lose, before
      # anything is done.
      class PreviewLosses
        # values:: how many values would be gone; examples:: some of them
        # kept:: how many would stay; rules:: sentences of rules that would go along, and of forms that would change
        # choices:: texts that would have to be choices for nothing to be lost; none where they are too many or too long
        Losses = Struct.new(:values, :examples, :kept, :rules, :choices, keyword_init: true) do
          def initialize(choices: [], **rest) = super
        end

        def initialize(workspace)
          @workspace = workspace
        end

        # @param type [String, nil] the new type; nil for deletion
        # @param choices [Array<String>, nil] those it will have, for a choice
        # @param list [String, nil] id of the project's list that it will use instead
        # @param target [String, nil] the table it will link to, for a link
        # @return [Losses]
        # @raise [Store::NotFound, Core::Invalid]
        def call(table:, field:, type: nil, choices: nil, list: nil, target: nil)
          old = @workspace.field(table, field)
          design = @workspace.table(table)
          choices = @workspace.project.list(list)&.values || choices
          if type.to_s.empty?
            of_deletion(design, old)
          else
            of_retyping(
              design,
              old,
              Core::Design::Field.new(
                **old.to_h,
                type: type.to_s,
                choices: choices || old.choices,
                target: target || old.target
              )
            )
          end
        end

        # @return [Array<String>] sentences of the rules of other tables that would go with a table
        # @raise [Store::NotFound]
        def of_table(key)
          table = @workspace.table(key)
          Core::Design::Dependants
            .rules(@workspace.project, table: table.key)
            .reject { |other, _| other.key == table.key }
            .map { |other, rule| "#{other.label}: #{rule.sentence(other)}" }
        end

        private

        def of_deletion(design, field)
          rules = Core::Design::Dependants.rules(@workspace.project, table: design.key, key: field.key)
          sentences =
            rules.map do |table, rule|
              (table.key == design.key) ? rule.sentence(table) : "#{table.label}: #{rule.sentence(table)}"
            end
          forms =
            Core::Design::Dependants
              .forms(@workspace.project, table: design.key, key: field.key)
              .map { |table, form|
              Core::Messages["designing.preview_losses.it_leaves_form_of", form: form.name, table: table.label]
            }
          Losses.new(
            values: Store::RecordTable.new(design).filled.fetch(field.key, 0),
            examples: [],
            kept: 0,
            rules: sentences + forms
          )
        end

        def of_retyping(design, old, new)
          unless Core::Values.all.key?(new.type)
            Core::Invalid.because(Core::Messages["common.there_is_no_field_type", type: new.type], part: "type")
          end
          if new.link? && @workspace.project.table(new.target.to_s).nil?
            Core::Invalid.because(Core::Messages["designing.preview_losses.pick_table_to_link"], part: "target")
          end
          return Losses.new(values: 0, examples: [], kept: 0, rules: []) unless design.kept?(old.key)

          found = Store::TypeConversion.preview(@workspace.project, design, old, new)
          Losses.new(
            values: found[:lost],
            examples: found[:examples],
            kept: found[:kept],
            rules: [],
            choices: new.listed? ? missing(found[:distinct], new) : []
          )
        end

        # One spelling of each, as choices pass over capitals.
        def missing(texts, field)
          texts =
            texts
              .map { |text| Core::Values::Plain.word(text) }
              .uniq { |text| Core::Unicode.folded(text) }
              .sort_by { |text| Core::Unicode.folded(text) }
          problem = Core::Design::Choices.message(field.label, field.choices + texts, [])
          problem ? [] : texts
        end
      end
    end
  end
end
