# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A record: its values for programs and as people read them.
      module Record
        module_function

        def of(table, record)
          {
            id: record.id, version: record.version, title: UseCases::Titles.of(table, record.id, record.values),
            values: table.fields.to_h { |field| [field.key, field.values.dump(record.values[field.key])] },
            texts: table.fields.to_h { |field| [field.key, field.show(record.values[field.key])] }
          }
        end
      end
    end
  end
end
