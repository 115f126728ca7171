# frozen_string_literal: true

module UpTack
  module Store
    # Finds records of a table by the name under which people know them.
    class Naming
      # One record that matches. details:: what else tells it from others of its name
      Match = Struct.new(:id, :title, :details, keyword_init: true)
      # Values shown beside a name.
      DETAILS = 3

      # @param plan [Core::Save::Plan]
      # @param context [Core::Save::Context]
      def initialize(plan, context)
        @table = plan.table
        @context = context
      end

      # @return [Array<Integer>] records of exactly this name, capitals aside
      def exactly(text)
        wanted = Core::Expression::Text.folded(text)
        titles.select { |_, title| Core::Expression::Text.folded(title) == wanted }.map(&:first)
      end

      # Records that have all the words typed somewhere in their name, or in what
      # is shown beside it; names that begin so come first.
      # @param text [String]
      # @return [Array<Match>]
      def like(text, limit: 20)
        words = Core::Expression::Text.folded(text).split
        found = []
        Rows.new(@table).each do |id, row|
          title = title_of(id, row)
          folded = Core::Expression::Text.folded(title)
          rank = rank(folded, words) || beside_rank(folded, row, words)
          found << [rank, folded, id, row, title] if rank
        end
        found.min_by(limit) { |rank, folded, id, *| [rank, folded, id] }.map { |_, _, id, row, title| Match.new(id: id, title: title, details: details(row)) }
      end

      private

      def titles
        found = []
        Rows.new(@table).each { |id, row| found << [id, title_of(id, row)] }
        found
      end

      def title_of(id, row) = UseCases::Titles.of(@table, id, row, @context)

      def rank(folded, words)
        return 0 if words.empty? || folded.start_with?(words.join(" "))
        return 1 if words.all? { |word| folded.match?(/(?<![[:alnum:]])#{Regexp.escape(word)}/) }

        2 if words.all? { |word| folded.include?(word) }
      end

      # Words that are not all in the name may stand beside it.
      def beside_rank(folded, row, words)
        texts = [folded, *shown(row).map { |text| Core::Expression::Text.folded(text) }]
        3 if words.all? { |word| texts.any? { |text| text.include?(word) } }
      end

      def details(row) = shown(row).first(DETAILS)

      def shown(row)
        beside.filter_map do |field|
          text = field.show(row[field.key], @context.records)
          text unless text.empty?
        end
      end

      def beside
        @beside ||= @table.kept_fields.reject { |field| field == @table.title_field || @table.worked_out?(field.key) || %w[long_text yes_no].include?(field.type) }.first(DETAILS + 2)
      end
    end
  end
end
