# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Makes the tables of a file that has several, and takes all their rows through their rules: one change of the
      # design and one change of records, of which everything stays or nothing. Tried, it does the very same and then
      # takes it back.
      class ImportCollection
        # What became of one table. number:: of the part; key:: of the table; report:: the Bulk::Report of its rows
        # by_rule:: RefusedBy, the most first; notes:: for people
        Told = Struct.new(:number, :key, :label, :made, :report, :by_rule, :notes, keyword_init: true)
        # A rule that refuses rows of a table that may not be made yet. field:: key; words:: for people
        RefusedBy = Struct.new(:field, :kind, :words, :count, keyword_init: true)
        # tables:: a Told each; batch:: Store::Batch by which the records can be undone, nil where nothing stays
        Result = Struct.new(:tables, :batch, keyword_init: true) do
          # @return [Boolean] whether no row was refused
          def clean? = tables.all? { |each| each.report.clean? }
        end

        # @param workspace [Workspace]
        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param upload [Uploads::Upload]
        # @param tables [Array<Hash>] see Wish
        # @param keep [String] one of Bulk::KEEP
        # @return [Result]
        # @raise [Core::Invalid, Interchange::Unreadable, Services::NotAllowed, Progress::Stopped]
        def call(upload:, tables:, keep:)
          unless @workspace.person.role == "builder"
            raise Services::NotAllowed, Core::Messages["imports.import_collection.only_builders"]
          end

          @upload = upload
          @parts = Collections.open(upload).parts
          @plan = CollectionPlan.new(tables, @parts, @workspace.project)
          Bulk.attempt(@workspace, keep, many: rows, progress: @progress) { |portions| work(portions) }
        end

        private

        def rows = @rows ||= @plan.wishes.sum { |wish| @parts[wish.number].rows || Services::Portions::AT_ONCE + 1 }

        def work(portions)
          @result = Result.new(tables: [])
          @result.batch = portions.open(rows, back: -> { back }) do
            Store::Batch.begin(@workspace, make.first, "Imported from #{@upload.name[0, 120]}")
          end
          @keys = KeyMap.new("#{@upload.path}.keys-#{Process.pid}-#{SecureRandom.hex(4)}", {})
          @plan.ordered.each { |wish| take(wish, portions) }
          @plan.ordered.each { |wish| link(wish, portions) if wish.later.any? }
          @result.tables.each { |told| told.by_rule = refused_by(told) }
          @result
        ensure
          @keys&.close
        end

        def make
          change = Core::Design::Changes::AddTables.new(
            tables: @plan.wishes.map(&:design), summary: @plan.summary(@upload.name)
          )
          project = Design::ChangeDesign.new(@workspace).call(change)
          @revision = @workspace.revision_id
          change.added_to(project)
        end

        def refused_by(told)
          table = @workspace.table(told.key)
          told.report.by_rule.filter_map { |id, count|
            rule = id && table.rule(id) or next
            RefusedBy.new(field: rule.field, kind: rule.kind, words: rule.sentence(table), count: count)
          }.sort_by { |each| -each.count }
        end

        def back = Maintenance::UndoLeft.tables(@workspace, @revision)

        def take(wish, portions)
          table = @workspace.table(wish.key)
          source = @parts[wish.number].source
          report = Bulk::Report.new(table, @workspace.context.records)
          report.batch = @result.batch
          told = Told.new(number: wish.number, key: wish.key, label: table.label, made: 0, report: report,
            notes: wish.notes)
          @result.tables << told
          return if source.size.zero?

          portions.about(table)
          looked = settings(source, wish)
          @progress.begin(table.label, @upload.name, looked.rows)
          refused = RejectedRows::Writer.new(@upload.refused(wish.number), looked.settings)
          taken = TableRows.new(@workspace, table, source: source, settings: looked.settings, report: report,
            refused: refused, ahead: WorkerClient.method(:begin))
          places = keys(wish, source)
          taken.call(portions, looked.rows) { |row, id| note(wish.key, places, row, id) }
          @keys.write
          told.made = taken.made
        ensure
          refused&.close
        end

        # As the file is read, with those columns that the wish has taken.
        def settings(source, wish)
          looked = FileAnalysis.new(@workspace).call(source, nil, seen: @upload.seen(wish.number))
          columns = wish.now
          looked.settings.blanks = "kept" # What a file leaves blank is no reason for a default.
          looked.settings.columns.each { |taken| taken.field = columns[taken.column]&.key }
          looked.settings.keys = @keys.for(links(columns.each_value))
          looked
        end

        def links(fields) =
          fields.select(&:refers).to_h { |field| [field.key, [field.target, field.refers]] }

        # Columns by whose values others refer to a table, and where they stand.
        def keys(wish, source) =
          @plan.referred(wish.key).to_h { |column| [column, source.columns.index(column)] }.compact

        def note(table, places, row, id)
          places.each do |column, place|
            cell = row.cells[place]
            @keys.add(table, column, Interchange::Profile.text(cell), id) unless cell.nil?
          end
        end

        # Links to records that were not there yet when theirs were made.
        def link(wish, portions)
          table = @workspace.table(wish.key)
          told = @result.tables.find { |each| each.key == wish.key }
          portions.about(table)
          LaterLinks.new(@workspace, table, keys: @keys.for(links(wish.later)), report: told.report).call(
            @parts[wish.number].source, wish.later, @plan.referred(wish.key).first, portions
          )
        end
      end
    end
  end
end
