# frozen_string_literal: true

module UpTack
  module Commands
    # Merges a project file into a database, or starts a new database with it:
    #
    #   uptack import-project design.json --dry-run
    #   + Glaze of Pieces: Glaze · text
    #
    # It prints what changes. For a new database the password of its first builder is read from standard input.
    class ImportProject < Command
      # @return [Integer]
      def call(file:, database: nil, dry_run: false)
        content = project_file(file)
        return dry_start(content) if dry_run && !File.file?(Database.path(database))

        text = File.binread(file)
        Database.create(database) do |workspace|
          next merge(workspace, text, dry_run) if workspace

          dry_run ? dry_start(content) : start(content)
        end
      end

      private

      def merge(workspace, text, dry)
        preview = UseCases::Design::ApplyProjectFile.new(workspace).preview(text)
        preview.differences.each { |each| @out.puts "#{sign(each)} #{each.place}: #{each.after || each.before}" }
        preview.people.each { |person| @out.puts "+ #{person["name"]} (#{person["role"]})" }
        preview.losses.each { |label, count| @out.puts "! #{count} values of #{label} would be lost" }
        return 0.tap { @out.puts Core::Messages["commands.import_project.nothing_was_changed"] } if dry

        UseCases::Design::ApplyProjectFile.new(workspace).call(text)
        0.tap { @out.puts "Imported: #{preview.name}" }
      end

      def sign(difference)
        return "+" unless difference.before

        difference.after ? "~" : "-"
      end

      def dry_start(content)
        @out.puts Core::Messages[
          "commands.import_project.tables_people",
          project: content.design["name"],
          tables: content.design["tables"].length,
          people: content.people.length
                  ]
        0
      end

      def start(content)
        builder = content.people.find { |person| person["role"] == "builder" } or
          Core::Invalid.because(
            Core::Messages["commands.import_project.new_project_needs_builder_among_its_people"],
            part: "people"
          )
        word = password(builder)
        Store::Database.write do
          Services::StartProject.new.call(
            design: content.design,
            people: content.people,
            tolerating: content.tolerating
          )
          UseCases::People::ChangePerson.new.change(
            Store::Person.find_by!(name: builder["name"]).id,
            "password" => word
          )
        end
        0.tap do
          @out.puts Core::Messages[
            "commands.import_project.is_set_up",
            project: content.design["name"],
            sign_in: Store::Person.folded(builder["name"].split.first)
                    ]
        end
      end

      def password(builder)
        @err.print "Password for #{builder["name"]}: " if @input.tty?
        word = @input.gets.to_s.chomp
        problem = Store::Person.password_problem(word)
        if problem
          Core::Invalid.because(
            Core::Messages[
              "commands.import_project.give_password_of_on_standard_input",
              problem: problem,
              builder: builder["name"]
            ],
            part: "password"
          )
        end

        word
      end
    end
  end
end
