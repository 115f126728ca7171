# frozen_string_literal: true

module UpTack
  module UseCases
    # Changes of many records as one: each record through its own rules, all of it one
    # entry that can be undone, and every one of them can be tried first. A trial
    # does the very same and then undoes it, so that nothing comes out otherwise.
    module Bulk
      # Raised to roll a transaction back.
      class NotKept < StandardError; end

      # What stays of a change. "all":: everything, or nothing where one record is refused
      # "passing":: those that pass; "none":: nothing, it is only tried
      KEEP = %w[all passing none].freeze

      # @param workspace [Workspace]
      # @param keep [String] one of KEEP
      # @param many [Integer] how many records there are, about
      # @param progress [Progress]
      # @yield [Services::Portions] does it, and gives the Report of it. Where there are many and all of it is to
      #   stay, it is tried in a copy first, and so done twice.
      # @return [Report] without a batch where nothing of it stays
      # @raise [Core::Invalid]
      def self.attempt(workspace, keep, many: 0, progress: Progress.none, &work)
        unless KEEP.include?(keep)
          Core::Invalid.because(Core::Messages["use_cases.bulk.keep_is_all_passing_or_none"],
            part: "keep")
        end
        stays = ->(report) { keep == "passing" || (keep == "all" && report.clean?) }
        report =
          if keep == "none"
            tried(workspace) { yield Services::Portions::Together.new(progress) }
          elsif Services::Portions.apart?(workspace, many)
            in_portions(workspace, stays, tried: keep == "all", progress: progress, &work)
          else
            run(workspace, stays) { yield Services::Portions::Together.new(progress) }
          end
        report.tap { report.batch = nil unless stays.call(report) }
      end

      # What is refused is known before anything is written.
      def self.in_portions(workspace, stays, tried:, progress:)
        Store::RunningBatch.none!
        if tried
          report = tried(workspace) { yield Services::Portions::Together.new(progress) }
          return report unless stays.call(report)
        end
        Services::Portions.new(workspace, progress).run do |portions|
          report = yield portions
          raise NotKept unless stays.call(report)
        end
        report
      rescue NotKept
        report
      end
      private_class_method :in_portions

      # Does something to see what comes of it, and undoes it; in a copy, where nobody shares the process.
      # @return [Object] what the block gives
      def self.tried(workspace, &work)
        never = ->(_) { false }
        return run(workspace, never, &work) unless workspace.apart? && !Store::Database.writing?

        Store::PrivateCopy.during { run(workspace, never, &work) }
      end

      def self.run(workspace, stays)
        found = nil
        workspace.write(savepoint: true) do
          found = yield
          raise NotKept unless stays.call(found)
        end
        found
      rescue NotKept
        workspace.renew
        found
      end
      private_class_method :run
    end
  end
end
