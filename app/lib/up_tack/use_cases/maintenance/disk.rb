# frozen_string_literal: true

require "open3"

module UpTack
  module UseCases
    module Maintenance
      # The disk on which something lies.
      module Disk
        module_function

        # @param path [String] of a file or folder
        # @return [Integer, nil] bytes that are free, as `df` says in its portable form (POSIX); nil where it says
        #   nothing
        def free(path)
          text, status = Open3.capture2("df", "-Pk", File.dirname(path), err: File::NULL)
          kilobytes = status.success? && text.lines.last.to_s.split[3]
          kilobytes && (Integer(kilobytes, 10) * 1024)
        rescue SystemCallError, ArgumentError
          nil
        end
      end
    end
  end
end
