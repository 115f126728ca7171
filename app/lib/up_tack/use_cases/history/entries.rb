# frozen_string_literal: true

module UpTack
  module UseCases
    module History
      # Finds the entries that a question is about.
      class Entries
        # Entries gone through at a time for an export.
        BATCH = 500

        # @return [Hash{String=>Object}] the signed end of the log, as an export ends with it
        def self.head = Store::Head.kept

        # @param ids [Array<Integer>]
        # @return [Array<Store::Entry>] those with these numbers, oldest first
        def self.numbered(ids) = Store::Entry.where(id: ids).order(:id).to_a

        # @param entries [Array<Store::Entry>]
        # @return [Array<Integer>] numbers of those before which the clock was set back
        def self.set_back(entries)
          before = Store::Entry.where(id: entries.map { |entry| entry.id - 1 }).pluck(:id, :made_at).to_h
          entries
            .select { |entry| (at = before[entry.id - 1]) && entry.made_at < at - Store::LogCheck::TOLERANCE }
            .map(&:id)
        end

        # @param question [Question]
        # @param seen [Array<String>, nil] ids of the tables that may be told of, nil for all
        def initialize(question, seen: nil)
          @question = question
          @seen = seen
        end

        # A page, the newest first. Unless a record or a batch is asked for, a
        # change of many records stands as one: by its latest entry.
        # @param before [Integer, nil] only entries older than this one
        # @return [Array<Store::Entry>]
        def page(before: nil, limit: 50)
          return newest(before, limit) if @question.record || @question.batch

          # Looked for apart, so that a change of half a million records is not gone through.
          alone = newest(before, limit) { |scope| scope.where(batch_id: nil) }
          (alone + of_batches(before, limit)).sort_by { |entry| -entry.id }.first(limit)
        end

        # @return [String, nil] what can't be told, since a file with older entries is not here
        def missing = Store::LogFiles.lost.first&.then { |part| Store::LogFiles.missing_text(part) }

        # @yield [Array<Store::Entry>] all of them, those in batches one by one, newest first
        def each_batch
          last = nil
          loop do
            found = newest(last, BATCH)
            yield found if found.any?
            break if found.length < BATCH

            last = found.last.id
          end
        end

        # @return [Array<Array(Time, Time, Integer)>] how many entries lie in each period
        # @param edges [Array<Time>] where one ends and the next begins, in UTC
        def counts(edges)
          edges.each_cons(2).map { |from, to| [from, to, matching.where(made_at: from...to).count] }
        end

        # @return [Array(Time, Time), nil] moments of the first and the last
        def span
          first, last =
            matching.order(:made_at).limit(1).pick(:made_at),
            matching.order(made_at: :desc).limit(1).pick(:made_at)
          first && [first, last]
        end

        private

        # Looked for in one place after the other, the newest first: older entries lie in files of their own.
        # @yield [ActiveRecord::Relation] narrows it down
        # @return [Array<Store::Entry>]
        def newest(before, limit)
          Store::LogFiles.places.each_with_object([]) do |(place, numbers), found|
            next if found.length >= limit || (before && numbers.first >= before)

            scope = older(place, numbers, before)
            scope = yield scope if block_given?
            found.concat(scope.limit(limit - found.length).to_a)
          end
        end

        def older(place, numbers, before)
          scope = @question.field ? Store::FieldChangeIndex.entries(@question.field, place) : Store::Entry.in(place)
          scope = matching(scope).where(up_tack_entries: {id: numbers}).includes(:batch)
          return Store::FieldChangeIndex.newest(scope, before) if @question.field

          scope = scope.order(id: :desc)
          before ? scope.where("up_tack_entries.id < ?", before) : scope
        end

        def of_batches(before, limit)
          batches = Store::Batch.order(id: :desc)
          batches = batches.where(table_id: @question.table.id) if @question.table
          latest = []
          batches.in_batches(of: limit, order: :desc) do |some|
            some
              .pluck(:id)
              .sort
              .reverse_each do |id|
                # Begun at the end of the change, which mostly is one of those sought.
                newest =
                  matching(@question.field ? Store::FieldChangeIndex.telling(@question.field) : Store::Entry.all)
                    .where(batch_id: id)
                    .order(id: :desc)
                    .limit(1)
                    .pick(:id)
                latest << newest if newest && (before.nil? || newest < before)
              end
            break if latest.length >= limit
          end
          Store::Entry.includes(:batch).where(id: latest.first(limit)).to_a
        end

        # @param scope [ActiveRecord::Relation] those that tell of the field, if one is asked for
        def matching(scope = @question.field ? Store::FieldChangeIndex.entries(@question.field) : Store::Entry.all)
          scope = scope.where(table_id: @question.table.id) if @question.table
          scope = scope.where(table_id: @seen) if @seen
          scope = scope.where(record_id: @question.record) if @question.record
          scope = scope.where(person_id: @question.person) if @question.person
          scope = scope.where(way: @question.channel) if @question.channel
          scope = scope.where(batch_id: @question.batch) if @question.batch
          scope = scope.where(made_at: @question.from..) if @question.from
          scope = scope.where("made_at < ?", @question.to) if @question.to
          @question.rule ? by_rule(scope) : scope
        end

        def by_rule(scope)
          scope.where("EXISTS (SELECT 1 FROM json_each(differences) WHERE json_each.value ->> 5 = ?)", @question.rule)
        end
      end
    end
  end
end
