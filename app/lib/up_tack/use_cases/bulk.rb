# frozen_string_literal: true

module UpTack
  module UseCases
    # Changes of many records as one: each record through its own rules, all of it one
    # entry that can be taken back, and every one of them can be tried first. A trial
    # does the very same and then takes it back, so that nothing comes out otherwise.
    module Bulk
      # Raised to take a transaction back.
      class TakeBack < StandardError; end

      # What stays of a change. "all":: everything, or nothing where one record is refused
      # "passing":: those that pass; "none":: nothing, it is only tried
      KEEP = %w[all passing none].freeze

      # @param workspace [Workspace]
      # @param keep [String] one of KEEP
      # @yield does it, and gives the Report of it
      # @return [Report] without a batch where nothing of it stays
      # @raise [Core::Invalid]
      def self.attempt(workspace, keep)
        unless KEEP.include?(keep)
          Core::Invalid.because(Core::Messages["use_cases.bulk.keep_is_all_passing_or_none"],
            part: "keep")
        end
        stays = ->(report) { keep == "passing" || (keep == "all" && report.clean?) }
        run(workspace, stays) { yield }.tap { |report| report.batch = nil unless stays.call(report) }
      end

      # Does something to see what comes of it, and takes it back.
      # @return [Object] what the block gives
      def self.tried(workspace, &work) = run(workspace, ->(_) { false }, &work)

      def self.run(workspace, stays)
        found = nil
        workspace.write(savepoint: true) do
          found = yield
          raise TakeBack unless stays.call(found)
        end
        found
      rescue TakeBack
        workspace.renew
        found
      end
      private_class_method :run
    end
  end
end
