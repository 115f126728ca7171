# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Deletes a record of a world, as far as the records that link to it let it go:
      # some refuse, some lose their link, some go along.
      class Deletion
        # @param ground [Save::CompiledProject]
        # @param world [RecordOverlay]
        def initialize(ground, world)
          @ground = ground
          @world = world
        end

        # @param table [Design::Table]
        # @yield [table, id, link] clears a link through the rules; gives why it can't be
        # @return [Array<String>] why it can't be deleted; empty when it was
        def call(table, id, &clear)
          gone = along(table, id)
          locked =
            gone.flat_map do |design, number|
              Save::Deleting.reasons(design, number, @world.find(design.key, number) || {}, @world.context)
            end
          return locked if locked.any?

          staying =
            gone
              .flat_map { |design, number| linking(design, number) }
              .reject { |design, other, _| gone.include?([design, other]) }
          refused, loose =
            staying
              .reject { |_, _, field| field.on_delete == "delete" }
              .partition { |_, _, field| field.on_delete == "refuse" }
          if refused.any?
            return refused.map do |design, other, field|
              Messages[
                "bench.deletion.in_has_it_as",
                record: @world.title(design.key, other),
                design: design.label,
                field: field.label
              ]
            end
          end

          reasons = loose.flat_map { |design, other, field| clear.call(design, other, field) }
          return reasons if reasons.any?

          gone.each { |design, number| @world.delete(design.key, number) }
          []
        end

        private

        # @return [Array<Array(Table, Integer)>] the record and all that go along with it
        def along(table, id)
          found = [[table, id]]
          found.each do |design, number|
            linking(design, number).each do |other, each, field|
              found << [other, each] if field.on_delete == "delete" && !found.include?([other, each])
            end
          end
        end

        def linking(table, id)
          table
            .neighbours
            .links_to(table.key)
            .flat_map do |other, field|
              @world.having(other.key, {field.key => id}).map { |number| [other, number, field] }
            end
        end
      end
    end
  end
end
