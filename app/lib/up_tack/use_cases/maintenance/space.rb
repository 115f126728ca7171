# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # What takes space in the database and beside it, how fast it grows, and when the disk will be full.
      class Space
        # Days that growth is taken from, and days of which the size is remembered.
        SPAN = 30
        REMEMBERED = 400
        # What of the system's tables belongs together.
        OWN = {
          "log" => /\Aup_tack_(entries|changed|changes|change_index|events|batches|journal|running)/,
          "design" => /\Aup_tack_(revisions|proof_runs|review_runs|dismissed)/,
          "aside" => /\Aup_tack_aside_/,
          "answers" => /\Aup_tack_answers/
        }.freeze

        # What stands below all others.
        LAST = [nil, "rest", "free"].freeze

        # What takes space. what:: "table" with its label, a key of OWN, "free" or "rest"; bytes::
        Part = Struct.new(:what, :label, :bytes, keyword_init: true)
        # database, waiting, log_files, backups, disk_free:: bytes, of which the last is nil where nobody knows; parts::
        #   the largest first; daily:: bytes a day, and days:: until the disk is full, each nil where nobody knows
        Told = Struct.new(
          :database, :waiting, :log_files, :backups, :disk_free, :parts, :daily, :days, keyword_init: true
        )

        # Takes note of today's size, once a day.
        # @param clock [#now] and #local, of the firm
        # @return [void]
        def self.note(clock)
          today = clock.local(clock.now).strftime("%Y-%m-%d")
          sizes = JSON.parse(Store::Settings["sizes"] || "{}")
          return if sizes.key?(today)

          sizes[today] = File.size(Store::Database.path)
          Store::Database.write { Store::Settings["sizes"] = JSON.generate(sizes.sort.last(REMEMBERED).to_h) }
        end

        # @param workspace [Workspace]
        def initialize(workspace)
          @workspace = workspace
          @path = Store::Database.path
        end

        # @return [Told]
        def call
          copies = Store::Backups.new.all
          daily = growth && (growth * (1 + copies.length))
          free = Disk.free(@path)
          Told.new(
            database: File.size(@path),
            waiting: File.size?("#{@path}-wal").to_i,
            log_files: Store::LogFiles.bytes,
            backups: copies.sum(&:bytes),
            disk_free: free,
            parts: parts,
            daily: daily&.round,
            days: (free && daily&.positive?) ? (free / daily).floor : nil
          )
        end

        private

        def parts
          sums = Hash.new(0)
          labels = @workspace.project.tables.to_h { |table| [table.key, table.label] }
          Store::Database.connection.select_rows(<<~SQL).each { |name, bytes| sums[belonging(name, labels)] += bytes }
            SELECT COALESCE(kept.tbl_name, pages.name), SUM(pages.pgsize) FROM dbstat AS pages
            LEFT JOIN sqlite_master AS kept ON kept.name = pages.name
            WHERE pages.aggregate = TRUE GROUP BY 1
          SQL
          sums[["free", nil]] = pragma("freelist_count") * pragma("page_size")
          # Pages by which SQLite finds its pages.
          sums[["rest", nil]] += (pragma("page_count") * pragma("page_size")) - sums.each_value.sum
          sums
            .map { |(what, label), bytes| Part.new(what: what, label: label, bytes: bytes) }
            .reject { |part| part.bytes.zero? }
            .sort_by { |part| [LAST.index(part.what).to_i, -part.bytes] }
        end

        def belonging(name, labels)
          return ["table", labels[name]] if labels.key?(name)

          [OWN.find { |_, pattern| pattern.match?(name) }&.first || "rest", nil]
        end

        # Bytes a day: by the sizes that were noted, or since the first entry of the log.
        def growth
          return @growth if defined?(@growth)

          @growth = noted_growth || grown_since_the_first
        end

        def noted_growth
          sizes = JSON.parse(Store::Settings["sizes"] || "{}").sort.last(SPAN)
          days = sizes.empty? ? 0 : (Date.parse(sizes.last.first) - Date.parse(sizes.first.first)).to_i
          (days >= 2) ? [(sizes.last.last - sizes.first.last).to_f / days, 0].max : nil
        end

        def grown_since_the_first
          first = Store::Entry.order(:id).first&.made_at or return
          days = (Time.now.utc - first) / 86_400
          (days >= 7) ? File.size(@path) / days : nil
        end

        def pragma(name) = Store::Database.connection.select_value("PRAGMA #{name}")
      end
    end
  end
end
