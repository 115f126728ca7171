# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # A file with several tables that was uploaded: what tables it could make.
      class Collections
        # A table. number:: of the part; key, label:: of the table to be made; rows:: how many, about
        # fields:: Fields; rules:: NewTable::Suggestions with the "field" that they stand at; notes:: for people
        # problem:: why it can't be read, nil mostly
        Proposed = Struct.new(:number, :name, :key, :label, :rows, :fields, :rules, :notes, :problem,
          keyword_init: true) do
          # @return [Hash{String=>Object}] as CollectionPlan takes it from whoever has nothing to change
          def wish
            wanted = fields.map { |field|
              field.to_h.transform_keys(&:to_s).merge("rules" => field.rules.reject(&:doubtful).map(&:parts))
            }
            {"number" => number, "key" => key, "label" => label, "fields" => wanted,
             "rules" => rules.reject(&:doubtful).map(&:parts)}
          end
        end
        # A field. target:: key of a table, which may be one of the file's; refers:: the column of that table's part
        # whose values its cells have, nil where they have names; plain:: its type where that table is not made
        # values:: which could be choices, nil where they are too many
        Field = Struct.new(:column, :key, :label, :type, :choices, :values, :format, :target, :refers, :plain, :rules,
          :samples, keyword_init: true) do
          # @return [Boolean]
          def link? = meaning.link?

          # @return [Core::Values::Type]
          def meaning = Core::Values[type]
        end

        # Names that stand there once each are those of the file's own records, also where records of the same names
        # are here already.
        class ForeignNames < KnownNames
          def target(profile) = profile.unique? ? nil : super
        end

        # @param upload [Uploads::Upload]
        # @return [Interchange::Collection::Found]
        # @raise [Interchange::Unreadable]
        def self.open(upload) =
          Interchange::Collection.open(upload.path, name: upload.name, folder: "#{upload.path}.parts")

        # @param workspace [Workspace]
        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param upload [Uploads::Upload]
        # @return [Array(Interchange::Collection::Found, Array<Proposed>)]
        # @raise [Interchange::Unreadable]
        def call(upload)
          found = Collections.open(upload)
          @progress.begin(upload.name, "", found.parts.length)
          taken = @workspace.project.tables.map { |table| [table.key, table.label] }
          names = ForeignNames.new(@workspace)
          proposed = found.parts.each_with_index.map do |part, number|
            TableProposal.new(@workspace, part, upload, number, taken: taken, names: names).call.tap do |table|
              taken += [[table.key, table.label]]
              @progress.advance(1)
            end
          end
          ProposedLinks.new(found.parts, proposed).call
          ProposedRules.new(@workspace, found.parts, proposed).call
          [found, proposed]
        end
      end
    end
  end
end
