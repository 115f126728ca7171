# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Says what would read differently by other ways of writing: values of records as they are shown,
      # and what people type.
      class PreviewConventions
        # What people type, told by how each way of writing understands it.
        TYPED = {"date" => ["3/4/26", "26-03-04"], "number" => ["1.234", "1,5", "1.234,50"]}.freeze
        # Examples of one table.
        MOST = 6

        # place:: of the value, or what is typed; before:, after:: as it is shown, or understood
        Difference = Struct.new(:place, :before, :after, keyword_init: true)
        Foreseen = Struct.new(:shown, :typed, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param parts [Hash{String=>String}] as Changes::ChangeConventions takes them
        # @return [Foreseen]
        # @raise [Core::Invalid]
        def call(parts)
          now = @workspace.project
          later = Core::Design::Changes::ChangeConventions.new(parts: parts).apply(now)
          Foreseen.new(
            shown: now.tables.flat_map { |table| shown(table, later.table(table.key)) },
            typed: typed(now.conventions, later.conventions)
          )
        end

        private

        def shown(table, later)
          found =
            table.kept_fields.filter_map do |field|
              other = later.field(field.key)
              next unless field.numeric? || field.moment?

              value =
                Store::RecordTable
                  .model(table.key)
                  .where.not(field.key => nil)
                  .order(field.key => :desc)
                  .limit(1)
                  .pick(field.key)
              value &&= Store::ColumnCodec.reader(field).call(value)
              before, after = [field, other].map { |each| value.nil? ? "" : each.show(value) }
              unless before == after
                Difference.new(place: "#{field.label} of #{table.label}", before: before, after: after)
              end
            end
          found.first(MOST)
        end

        def typed(before, after)
          TYPED.flat_map do |type, texts|
            texts.filter_map do |text|
              one, other = [before, after].map { |conventions| understood(type, text, conventions) }
              Difference.new(place: text, before: one, after: other) unless one == other
            end
          end
        end

        def understood(type, text, conventions)
          field = Core::Design::Field.new(key: "it", label: "It", type: type, conventions: conventions)
          value =
            Core::Values[type].read(
              text,
              field,
              Core::ParseContext.new(conventions: conventions, today: @workspace.clock.today)
            )
          value.is_a?(Core::Values::Unreadable) ? value.message : Core::Values[type].show(value, field)
        end
      end
    end
  end
end
