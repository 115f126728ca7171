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
          (alone(before, limit) + of_batches(before, limit)).sort_by { |entry| -entry.id }.first(limit)
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

        # @return [Periods] how many there are over time
        def periods = Periods.new(@question, seen: @seen)

        private

        # Looked for in one place after the other, the newest first: older entries lie in files of their own.
        # @yield [String, Proc] the place, and what leaves of a relation what may be told of it; gives its entries
        # @return [Array<Store::Entry>]
        def in_places(before, limit)
          Store::LogFiles.places.each_with_object([]) do |(place, numbers), found|
            next if found.length >= limit || (before && numbers.first >= before)

            found.concat(yield(place, ->(scope) { within(scope, numbers, before).limit(limit - found.length) }))
          end
        end

        def within(scope, numbers, before)
          scope = scope.where(up_tack_entries: {id: numbers})
          before ? scope.where("up_tack_entries.id < ?", before) : scope
        end

        def newest(before, limit)
          in_places(before, limit) do |place, bounded|
            bounded.call(matching(Store::Entry.in(place), place).order(id: :desc)).includes(:batch).to_a
          end
        end

        # Those that were no change of many. There is an index of them for each table.
        def alone(before, limit)
          in_places(before, limit) do |place, bounded|
            tables(place)
              .map { |table| bounded.call(alone_in(table, place)) }
              .flat_map(&:to_a).sort_by { |entry| -entry.id }.first(limit)
          end
        end

        def alone_in(table, place)
          field = @question.field
          return @question.narrow(Store::FieldChangeIndex.alone(field, table, place)) if field

          @question.narrow(Store::Entry.in(place)).where(table_id: table, batch_id: nil).order(id: :desc)
        end

        # @return [Array<String>] ids of those of which entries may be told
        def tables(place) = @question.table ? [@question.table.id] : @seen || Store::Entry.tables(place)

        def of_batches(before, limit)
          batches = Store::Batch.order(id: :desc)
          batches = batches.where(table_id: @question.table.id) if @question.table
          latest = []
          batches.in_batches(of: limit, order: :desc) do |some|
            some.pluck(:id).sort.reverse_each do |id|
              # Begun at the end of the change, which mostly is one of those sought.
              newest = matching(Store::Entry.all).where(batch_id: id).order(id: :desc).limit(1).pick(:id)
              latest << newest if newest && (before.nil? || newest < before)
            end
            break if latest.length >= limit
          end
          Store::Entry.includes(:batch).where(id: latest.first(limit)).to_a
        end

        def matching(scope, place = nil)
          scope = Store::FieldChangeIndex.telling(@question.field, scope, place: place) if @question.field
          scope = @question.narrow(scope, by_number: true)
          @seen ? scope.by_number(@seen) : scope
        end
      end
    end
  end
end
