# frozen_string_literal: true

module UpTack
  module Core
    module Forms
      # A form made ready to be filled in: its own statements and jumps compiled.
      class Ready
        # One jump: after which field, under which condition (nil for always), to where.
        Jump = Struct.new(:after, :condition, :to)

        # @return [Design::Form]
        attr_reader :form
        # @return [Array<Rules::State::Compiled>] what it says of how fields stand
        attr_reader :states
        # @return [Array<Jump>]
        attr_reader :jumps

        # @param form [Design::Form]
        # @param table [Design::Table]
        def initialize(form, table)
          @form = form
          @states = form.field_items.flat_map do |item|
            (item["states"] || []).map { |state| Rules::State.from("id" => form.id, "kind" => "state", "field" => item["field"], "state" => state["state"], "when" => state["when"]).compile(table) }
          end.freeze
          @jumps = form.jumps.map { |jump| Jump.new(jump["after"], (jump["when"].to_s.strip.empty? ? nil : Expression.compile(jump["when"], table.scope, expecting: :yes_no)), jump["to"]) }.freeze
          freeze
        end
      end
    end
  end
end
