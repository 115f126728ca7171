# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Holds the change log and the security log against their seals, and the records against the log.
      module VerifyLog
        module_function

        # @param progress [Progress]
        # @return [Store::LogCheck::Verdict]
        def call(progress:) = Store::LogCheck.run(progress: progress)

        # @return [String] by which whoever asks meanwhile gets the same work
        def shared = "verify #{Store::Database.path}"
      end
    end
  end
end
