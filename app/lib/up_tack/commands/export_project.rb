# frozen_string_literal: true

module UpTack
  module Commands
    # Writes the project file of a database, to standard output or to a file:
    #
    #   uptack export-project [FILE] [--database FILE]
    class ExportProject
      USAGE = "[FILE] [--database FILE]"

      def initialize(out:, err:)
        @out = out
        @err = err
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        arguments = arguments.dup
        database = Database.path(arguments)
        return missing(database) unless File.file?(database)

        text = Database.open(database) { |workspace|
          workspace && UseCases::Design::WriteProjectFile.new(workspace).call
        }
        return missing(database) unless text

        arguments.first ? File.write(arguments.first, text) : @out.print(text)
        0
      end

      private

      def missing(database)
        @err.puts Core::Messages["commands.all.there_is_no_project", path: database]
        2
      end
    end
  end
end
