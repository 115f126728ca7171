# frozen_string_literal: true

module UpTack
  module UseCases
    # Says what follows when choices get other names, or become one with others, before it is done.
    class ForeseeChoices
      # Choices of one field. place:: of the field; merged:: whether it becomes one with a choice that
      #   there is already; count:: of the records that have it
      Renaming = Struct.new(:place, :before, :after, :merged, :count, keyword_init: true)
      # A text that has an old name in it and stays as it is.
      Staying = Struct.new(:place, :text, keyword_init: true)
      # follows:: Core::Design::Comparison::Differences of rules, forms, proofs and kept views
      Foreseen = Struct.new(:renamed, :follows, :stays, keyword_init: true)

      # What of a design is shown to people and names nothing.
      TEXTS = %w[message name note label hint title].freeze

      def initialize(workspace)
        @workspace = workspace
      end

      # @param change [Core::Design::Changes::ChangeField, Core::Design::Changes::KeepList]
      # @return [Foreseen]
      # @raise [Core::Design::Invalid]
      def call(change)
        now = @workspace.project
        later = change.apply(now)
        ChoicesInUse.new(@workspace).check(now, later, renamed: change.renamed_choices)
        follows = Core::Design::Comparison.new(now, later).differences.reject { |each| %w[field list table].include?(each.what) }
        names = change.renamed_choices.values.reduce({}, :merge)
        Foreseen.new(renamed: renamings(now, change.renamed_choices), follows: follows, stays: names.empty? ? [] : stays(later, names.keys - names.values))
      end

      private

      def renamings(project, by_field)
        by_field.flat_map do |id, names|
          table = project.tables.find { |each| each.fields.any? { |field| field.id == id } }
          field = table.fields.find { |each| each.id == id }
          counts = table.kept?(field.key) ? Store::Rows.model(table.key).where(field.key => names.keys).group(field.key).count : {}
          names.map do |before, after|
            merged = names.values.count(after) > 1 || (field.choices.include?(after) && !names.key?(after))
            Renaming.new(place: "#{field.label} of #{table.label}", before: before, after: after, merged: merged, count: counts.fetch(before, 0))
          end
        end
      end

      def stays(project, names)
        return [] if names.empty?

        named = /(?<![[:word:]])(?:#{Regexp.union(names)})(?![[:word:]])/
        project.tables.flat_map do |table|
          parts = table.rules.map { |rule| ["#{table.field(rule.field).label} of #{table.label}", rule.to_plain] }
          parts += table.forms.map { |form| ["Form #{form.name} of #{table.label}", form.to_plain] }
          parts.flat_map { |place, plain| texts(plain).grep(named).uniq.map { |text| Staying.new(place: place, text: text) } }
        end
      end

      # Texts for people, and formulas in which the name stands for something else.
      def texts(plain)
        case plain
        when Hash then plain.flat_map { |part, value| (TEXTS + Core::Rules::Rule::FORMULAS).include?(part) && value.is_a?(String) ? [value] : texts(value) }
        when Array then plain.flat_map { |each| each.is_a?(String) ? [] : texts(each) }
        else []
        end
      end
    end
  end
end
