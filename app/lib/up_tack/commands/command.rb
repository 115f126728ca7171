# frozen_string_literal: true

require "json"

module UpTack
  module Commands
    # What the commands share: where they print, and how they end.
    class Command
      # Says why nothing was done; the exit status is 2.
      class Failure < StandardError; end

      # @param out [IO] for results
      # @param err [IO] for everything else
      # @param input [IO] from which a password is read
      # @param json [Boolean] whether results are printed as one line of JSON
      def initialize(out:, err:, input: $stdin, json: false)
        @out = out
        @err = err
        @input = input
        @json = json
      end

      # Leaves nothing of how far it was on the terminal, however it ended.
      # @return [void]
      def finish = @progress&.finish

      private

      # Prints a result, as JSON or by what the block prints.
      # @return [Integer] the exit status
      def answer(status, data)
        finish
        @json ? @out.puts(JSON.generate(data)) : yield
        status
      end

      # @return [String] the path of a file that there is
      # @raise [Failure]
      def existing(path)
        return path if File.file?(path)

        raise Failure, Core::Messages["commands.all.there_is_no_file", path: path]
      end

      # @return [Core::Design::ProjectFile::Content]
      # @raise [Failure] with what is wrong in it, a line each
      def project_file(path)
        Core::Design::ProjectFile.read(File.binread(existing(path)))
      rescue Core::Invalid => e
        raise Failure, e.problems.map { |problem| "#{path}: #{Commands.placed(problem)}" }.join("\n")
      end

      # @return [Progress] that is shown where somebody looks
      def progress
        return Progress.none unless @err.tty?

        @progress = TerminalProgress.new(@err)
      end
    end
  end
end
