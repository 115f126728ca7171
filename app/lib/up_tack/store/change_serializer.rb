# frozen_string_literal: true

module UpTack
  module Store
    # Writes down what a save changed, as the log keeps it: a JSON array of the members of a
    # FieldChange each. Put together from pieces, since what is said of a field is the same
    # for all records of a batch.
    class ChangeSerializer
      # What JSON (RFC 8259) does not take as it is within quotes.
      ODD = /["\\\u0000-\u001f]/

      def initialize
        @heads = {}.compare_by_identity
        @latest = {}.compare_by_identity
        # What nobody's rule made ends there: that is said of most fields.
        @rules = Hash.new { |known, id| known[id] = id ? ",#{JSON.generate(id)}]" : "]" }
      end

      # @param changes [Array<Core::Save::Change>]
      # @param records [LinkedRecords] by which links are named
      # @return [String]
      def serialize(changes, records) =
        "[#{changes.map { |change| piece(change.field, change.before, change.after, change.rule, records) }.join(",")}]"

      # What rules give many records of a batch alike is not written anew for each.
      # @param records [LinkedRecords, nil] needed for a link
      # @return [String] what is written down of one field
      def piece(field, before, after, rule, records = nil)
        held = @latest[field]
        return held.last if held && held[0].eql?(before) && held[1].eql?(after) && held[2] == rule

        values =
          [before, after].map do |value|
            json((field.person && value) ? PersonNames.seal_within(value) : serialized(field, value, records))
          end
        text = "#{@heads[field] ||= head(field).freeze}#{values.join(",")}#{@rules[rule]}"
        @latest[field] = [before, after, rule, text.freeze] unless field.link?
        text
      end

      private

      def head(field) = "[#{JSON.generate(field.id)},#{JSON.generate(field.label)},#{JSON.generate(field.type)},"

      def json(value)
        return "null" if value.nil?

        (value.is_a?(String) && !value.match?(ODD)) ? "\"#{value}\"" : JSON.generate(value)
      end

      # A link is logged with the name that it had then: the record may be gone
      # when somebody reads the log.
      def serialized(field, value, records)
        return value if value.nil? || value.is_a?(String)

        field.link? ? {"id" => value, "title" => field.show(value, records)} : field.values.dump(value)
      end
    end
  end
end
