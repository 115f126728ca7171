# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # Whether the files are here into which older entries have moved, whether they are those of which an event tells,
      # and whether what stayed in the database is what they say. Their entries are gone through by Chains.
      module Files
        module_function

        # @return [void]
        def missing(verdict) =
          LogFiles.missing.each { |part| verdict.fault(LogFiles.missing_text(part), part.first) }

        # @param moved [Array<Array>] the files of which the last event tells
        # @return [void]
        def run(verdict, moved)
          verdict.fault(Core::Messages["store.files.are_other_ones"]) unless LogFiles.all.map(&:to_a) == moved
          return if LogFiles.missing.any?

          LogFiles.places.drop(1).each { |schema, range| compare(verdict, schema, range) }
        end

        def compare(verdict, schema, moved)
          columns = [*Seal::COLUMNS, "seal"].join(", ")
          range = "WHERE id BETWEEN #{moved.first} AND #{moved.last}"
          numbers("SELECT id FROM (SELECT #{columns} FROM main.up_tack_entries #{range} " \
            "EXCEPT SELECT #{columns} FROM #{schema}.up_tack_entries #{range})")
            .each { |id| verdict.fault(Core::Messages["store.files.entry_differs", id: id], id) }
          numbers("SELECT MAX(id) AS id FROM #{schema}.up_tack_entries AS moved #{range} AND NOT EXISTS (" \
            "SELECT 1 FROM main.up_tack_entries AS kept WHERE kept.table_id = moved.table_id " \
            "AND kept.record_id = moved.record_id AND kept.id >= moved.id) GROUP BY table_id, record_id")
            .each { |id| verdict.fault(Core::Messages["store.files.latest_is_missing", id: id], id) }
        end

        def numbers(sql) = LogCheck.rows("#{sql} ORDER BY id LIMIT #{MOST}").flatten
      end
    end
  end
end
