# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The project file: the whole design as one readable text that changes little when
      # the design does, in Up Tack's own open format (JSON; docs/project.schema.json).
      module ProjectFile
        # By what a file says that it is one.
        FORMAT = "up-tack-project"
        # The latest version that can be read.
        VERSION = 2
        # The first version whose files hold only what can be written today.
        STRICT = 2
        # Characters of the longest file that is read.
        LONGEST = 60_000_000

        # What a file holds.
        # design:: plain, as Project.from takes it
        # people:: [{"name", "email", "role"}]; a table's review tells one of them by its place
        #   among them, from 1
        # version:: of the file
        Content = Struct.new(:design, :people, :version, keyword_init: true) do
          # @return [Project]
          def project = @project ||= Project.reopen(design, tolerating: tolerating)

          # @return [Array, :all] what Project.reopen lets be
          def tolerating = ProjectFile.tolerating(version)
        end

        # @param version [Integer] of a file
        # @return [Array, :all] which tolerable problems it may have
        def self.tolerating(version) = (version < STRICT) ? :all : []

        # @param project [Project]
        # @param people [Hash{Integer=>Hash{String=>String}}] by the numbers by which the design
        #   knows them
        # @return [String] of the version before if the design has what could not be written today, so
        #   that whoever reads it lets that be too
        def self.write(project, people = {})
          attributes = project.attributes
          attributes["tables"].each { |table| Reviews.name(table, people) }
          Writer.text(
            {
              "format" => FORMAT,
              "version" => project.tolerated.any? ? STRICT - 1 : VERSION,
              **attributes,
              "people" => people.values
            }
          )
        end

        # @param text [String]
        # @return [Content] of a sound design
        # @raise [Core::Invalid] with everything that is wrong, each with its place
        def self.read(text) = Reader.new(text).content
      end
    end
  end
end
