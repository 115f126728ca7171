# frozen_string_literal: true

module UpTack
  module Core
    module Forms
      # A form made ready to be filled in: its own statements and jumps compiled.
      class CompiledForm
        # One jump: after which field, under which condition (nil for always), to where.
        Jump = Struct.new(:after, :condition, :to)

        # @return [Design::Form]
        attr_reader :form
        # @return [Array<Kinds::State::Compiled>] what it says of how fields stand
        attr_reader :states
        # @return [Array<Jump>]
        attr_reader :jumps

        # @param form [Design::Form]
        # @param table [Design::Table]
        def initialize(form, table)
          @form = form
          @states =
            form
              .field_items
              .flat_map do |item|
                (item["states"] || []).map do |state|
                  Rules.from(
                    "id" => form.id,
                    "kind" => "state",
                    "field" => item["field"],
                    "state" => state["state"],
                    "when" => state["when"]
                  ).compile(table)
                end
              end
              .freeze
          @jumps =
            form
              .jumps
              .map do |jump|
                Jump.new(
                  jump["after"],
                  if jump["when"].to_s.strip.empty?
                    nil
                  else
                    Expression.compile(jump["when"], table.scope, expecting: :yes_no)
                  end,
                  jump["to"]
                )
              end
              .freeze
          freeze
        end
      end
    end
  end
end
