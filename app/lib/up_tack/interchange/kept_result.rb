# frozen_string_literal: true

module UpTack
  module Interchange
    # What was found in a file, kept beside it for whoever asks again. It is there as a whole or not at all: whoever
    # writes it may be stopped at any moment.
    module KeptResult
      module_function

      # @param path [String]
      # @param found [Object] that Marshal can write
      # @return [void]
      def write(path, found)
        made = "#{path}.#{Process.pid}"
        File.binwrite(made, Marshal.dump(found))
        File.rename(made, path)
      end

      # @return [Object, nil] nil where there is none, or one of another version of this program
      def read(path)
        # rubocop:disable Security/MarshalLoad -- from this program's own file
        Marshal.load(File.binread(path)) if File.file?(path)
        # rubocop:enable Security/MarshalLoad
      rescue ArgumentError, TypeError, NameError
        nil
      end
    end
  end
end
