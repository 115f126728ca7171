# frozen_string_literal: true

module UpTack
  module UseCases
    module Bulk
      # What became of many records, or would: counts of all, and some of them told.
      class Report
        # Refused records that are told one by one, and changed ones.
        MOST_REFUSED = 200
        MOST_SHOWN = 40
        # Texts of one field that are told as no choices of it yet.
        MOST_TEXTS = 100

        # One record that is refused. place:: which of those given it is, from 0
        # id:: nil for a new one; refusals:: [{field:, rule:, message:, passable:}]
        Refused = Struct.new(:place, :id, :title, :refusals, keyword_init: true)
        # One record that is saved. made:: whether it is a new one; changes:: [{field:, label:, before:, after:, rule:}]
        Shown = Struct.new(:id, :title, :made, :changes, keyword_init: true)

        # counts of records; by_rule:: of refusals, by rule id, nil for what no rule says
        attr_reader :looked_at, :saved, :unchanged, :by_rule, :refused, :shown
        # @return [Hash{String=>Array<String>}] by field key, texts that are no choices of it yet
        attr_reader :not_choices
        # @return [Integer]
        attr_reader :refused_count
        # @return [Store::Batch, nil] by which it can be taken back; nil where nothing is kept
        attr_accessor :batch

        # @param table [Core::Design::Table]
        # @param records [#title] names linked records
        def initialize(table, records)
          @table = table
          @records = records
          @looked_at = @saved = @unchanged = @refused_count = 0
          @by_rule = Hash.new(0)
          @not_choices = {}
          @refused = []
          @shown = []
        end

        # What was read to make it stays in the process that made it.
        # @return [Hash{Symbol=>Object}]
        def marshal_dump =
          (instance_variables - %i[@table @records @given]).to_h { |name| [name, instance_variable_get(name)] }

        # @return [void]
        def marshal_load(told) = told.each { |name, value| instance_variable_set(name, value) }

        # @return [Boolean] whether everything passed
        def clean? = @refused_count.zero?

        # @return [Boolean] whether no more records are told with their changes
        def shown_all? = @shown.length >= MOST_SHOWN

        # @param place [Integer]
        # @param answer [Services::SaveResult]
        # @param id [Integer, nil] of the record that was to be changed
        # @param typed [Hash{String=>Object}] raw input by field key
        # @param changed [Boolean] whether one that is saved is another than before
        def add(place, answer, id, typed = {}, changed: answer.outcome.nil? || answer.outcome.changes.any?)
          @looked_at += 1
          case answer.state
          when :saved
            saved_as(answer, id, changed)
          when :refused
            answer.outcome.refusals.each { |each| note_choice(each, typed) }
            refuse(
              place,
              id,
              answer.outcome.refusals.map do |each|
                {field: each.field, rule: each.rule, message: each.message, passable: each.passable == true}
              end,
              answer.outcome.values
            )
          when :conflict
            refuse(place, id, [refusal(Core::Messages["common.somebody_else_changed_record_meanwhile"])])
          else
            refuse(place, id, (answer.reasons || []).map { |reason| refusal(reason) })
          end
        end

        # A record that can't be looked at at all.
        def fail(place, id, message)
          @looked_at += 1
          refuse(place, id, [refusal(message)])
        end

        # @param refusals [Array<Hash>] as Refused has them
        def refuse_unseen(place, id, refusals)
          @looked_at += 1
          refuse(place, id, refusals)
        end

        private

        # What a list of choices lacks is refused by no rule.
        def note_choice(refusal, typed)
          field = @table.field(refusal.field) if refusal.rule.nil? && refusal.field
          text = typed[refusal.field]
          return unless field&.listed? && text.is_a?(String)

          known = (@not_choices[field.key] ||= [])
          text = text.strip
          folded = Core::Unicode.folded(text)
          return if known.length >= MOST_TEXTS || text.length > Core::Design::Names::LONGEST_LABEL
          return if [*known, *field.choices].any? { |each| Core::Unicode.folded(each) == folded }

          known << text
        end

        def refusal(message) = {field: nil, rule: nil, message: message, passable: false}

        def saved_as(answer, id, changed)
          return @unchanged += 1 unless changed

          @saved += 1
          return if shown_all?

          changes = answer.outcome ? answer.outcome.changes : []
          @shown << Shown.new(
            id: answer.record&.id,
            title: title(answer.record&.id, answer.record&.values),
            made: id.nil?,
            changes: changes.map { |change| as_shown(change) }
          )
        end

        def as_shown(change)
          field = change.field
          {
            field: field.key,
            label: field.label,
            before: field.show(change.before, @records),
            after: field.show(change.after, @records),
            rule: change.rule
          }
        end

        def refuse(place, id, refusals, values = nil)
          @refused_count += 1
          refusals.each { |each| @by_rule[each[:rule]] += 1 }
          if @refused.length < MOST_REFUSED
            @refused << Refused.new(place: place, id: id, title: title(id, values), refusals: refusals)
          end
        end

        # One that is yet to be made is known by what was typed, not by what rules gave it.
        def title(id, values)
          values ||= id && Store::RecordTable.new(@table).find(id)
          return @table.record_name unless values

          if id
            Core::Save::RecordTitle.find(@table, id, values)
          else
            Core::Save::RecordTitle.another(@table, nil, values.merge(given), nil) || @table.record_name
          end
        end

        def given = @given ||= @table.rules.flat_map(&:writes).to_h { |key| [key, nil] }
      end
    end
  end
end
