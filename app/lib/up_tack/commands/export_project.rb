# frozen_string_literal: true

module UpTack
  module Commands
    # Writes the project file of a database, to standard output or to a file:
    #
    #   uptack export-project design.json
    class ExportProject < Command
      # @return [Integer]
      def call(file: nil, database: nil)
        text = Database.open(database) { |workspace| UseCases::Design::WriteProjectFile.new(workspace).call }
        file ? File.write(file, text) : @out.print(text)
        0
      end
    end
  end
end
