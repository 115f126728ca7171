# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # By what people know a record.
      module RecordTitle
        LONGEST = 80
        # What would not stand well in one line.
        UNEVEN = /\s{2}|[\s&&[^ ]]|\A\s|\s\z|\u0000/

        module_function

        # @param values [#fetch] the kept ones are enough
        # @param context [Context, nil] for a title that is worked out when it is read
        # @return [String] the table's title field, else the first text that is filled, or the record's number
        def find(table, id, values, context = nil)
          first = table.title_field
          text = first ? shown(table, first, id, values, context) : ""
          text = another(table, id, values, context) if text.empty?
          text ? text[0, LONGEST] : "#{table.record_name} #{id}"
        end

        # @return [Array<Field>] all from which a record's name may come; none that is hidden from anybody
        #   who may see the table, since everybody knows a record by the same name
        def fields(table) = [table.title_field, *texts(table)].compact.uniq

        def texts(table) = table.fields.select { |field| field.one_line? && !field.access.to_h.value?("nothing") }

        def another(table, id, values, context)
          texts(table).lazy.map { |field| shown(table, field, id, values, context) }.find { |each| !each.empty? }
        end

        def shown(table, field, id, values, context)
          value = values.fetch(field.key) { context && worked_out(table, field, id, values, context) }
          text = field.show(value)
          text.match?(UNEVEN) ? text.strip.gsub(/\s+/, " ") : text
        end

        def worked_out(table, field, id, values, context)
          evaluation = Expression::Evaluation.new(values: values, old: values, context: context, is_new: false, id: id)
          table.scope[field.key].computed&.call(evaluation)
        end
      end
    end
  end
end
