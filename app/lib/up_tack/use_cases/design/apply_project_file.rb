# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Brings a project file into the project: first as a preview, then as one change of
      # the design that can be undone, or not at all.
      class ApplyProjectFile
        # Only so many values that would be lost are looked for in fields of another type.
        # differences:: Array of Core::Design::ProjectDiff::Difference; people:: those who would be added
        # losses:: [label, how many values would be lost] of fields that become another type
        Preview = Struct.new(:name, :differences, :people, :losses, keyword_init: true)

        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param text [String]
        # @return [Preview]
        # @raise [Core::Invalid] with everything that is wrong in the file, or in the two together
        def preview(text)
          content = Core::Design::ProjectFile.read(text)
          merged =
            Core::Design::Changes::ApplyProjectFile.new(
              design: design(content),
              tolerating: content.tolerating
            ).apply(@workspace.project)
          Services::ChoicesInUse.new(@workspace).check(@workspace.project, merged)
          Preview.new(
            name: content.design["name"],
            differences: Core::Design::ProjectDiff.new(@workspace.project, merged).differences,
            people: newcomers(content),
            losses: losses(merged)
          )
        end

        # @param text [String]
        # @return [Core::Design::Project]
        # @raise [Core::Invalid, Recalculation::Stopped]
        def call(text)
          content = Core::Design::ProjectFile.read(text)
          @workspace.write do
            newcomers(content).each do |person|
              People::ChangePerson.new.add(person.merge("sign_in" => sign_in(person["name"])))
            end
            ChangeDesign.new(@workspace, progress: @progress).call(
              Core::Design::Changes::ApplyProjectFile.new(design: design(content), tolerating: content.tolerating)
            )
          end
        end

        private

        # The people of a file are known here by their names.
        def design(content)
          known = Store::Person.all.to_h { |person| [person.name, person.id] }
          attributes = Marshal.load(Marshal.dump(content.design))
          attributes["tables"].each do |table|
            next unless table["review"]

            number = known[content.people[table["review"]["person"] - 1]&.fetch("name")]
            number ? table["review"]["person"] = number : table.delete("review")
          end
          attributes
        end

        def newcomers(content)
          names = Store::Person.pluck(:name).to_set
          emails = Store::Person.where.not(email: nil).pluck(:email).to_set
          content.people.reject do |person|
            names.include?(person["name"]) || (person["email"] && emails.include?(person["email"]))
          end
        end

        # A name to sign in with that nobody has yet.
        def sign_in(name)
          first = Store::Person.folded(name.split.first).gsub(/[^[:alnum:]._-]/, "").ljust(2, "_")[0, 36]
          [first, *(2..99).map { |count| "#{first}#{count}" }].find { |each| !Store::Person.exists?(sign_in: each) }
        end

        def losses(merged)
          @workspace.project.tables.flat_map do |table|
            other = merged.table(table.key)
            table.fields.filter_map do |field|
              becomes = other.field(field.key)
              next if becomes.nil? || (becomes.type == field.type && becomes.target == field.target)

              lost =
                PreviewLosses
                  .new(@workspace)
                  .call(
                    table: table.key,
                    field: field.key,
                    type: becomes.type,
                    choices: becomes.choices,
                    target: becomes.target
                  )
                  .values
              ["#{field.label} of #{table.label}", lost] if lost.positive?
            end
          end
        rescue Core::Invalid, Store::NotFound
          [] # It links to a table that comes with the file; what is lost shows when it is there.
        end
      end
    end
  end
end
