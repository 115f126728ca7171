# frozen_string_literal: true

module UpTack
  module Commands
    # Brings a project file into a database: into a new one as it is, into one that has a
    # project by merging the two.
    #
    #   uptack import-project FILE [--database FILE] [--dry-run]
    #
    # It prints what becomes different; with --dry-run nothing is changed. For a new database
    # the password of the first builder is read from standard input. The exit status is 0
    # when it was brought in, 2 when the file can't be read or does not go together with the
    # project.
    class ImportProject
      USAGE = "FILE [--database FILE] [--dry-run]"

      # @param input [IO] from which a password is read
      def initialize(out:, err:, input: $stdin)
        @out = out
        @err = err
        @input = input
      end

      # @param arguments [Array<String>]
      # @return [Integer]
      def run(arguments)
        arguments = arguments.dup
        database = Database.path(arguments)
        dry = !arguments.delete("--dry-run").nil?
        path = arguments.first
        return usage unless path && File.file?(path)

        text = File.binread(path)
        return dry_start(text) if dry && !File.file?(database)

        Database.open(database) { |workspace| workspace ? merge(workspace, text, dry) : start(text, dry) }
      rescue Core::Invalid => e
        Commands.tell_problems(e.problems, path, @err)
      end

      private

      def usage
        @err.puts "Name a project file: uptack import-project #{USAGE}"
        2
      end

      def merge(workspace, text, dry)
        preview = UseCases::Design::ApplyProjectFile.new(workspace).preview(text)
        preview.differences.each { |each| @out.puts "#{sign(each)} #{each.place}: #{each.after || each.before}" }
        preview.people.each { |person| @out.puts "+ #{person["name"]} (#{person["role"]})" }
        preview.losses.each { |label, count| @out.puts "! #{count} values of #{label} would be lost" }
        return 0.tap { @out.puts Core::Messages["commands.import_project.nothing_was_changed"] } if dry

        UseCases::Design::ApplyProjectFile.new(workspace).call(text)
        0.tap { @out.puts "Brought in: #{preview.name}" }
      end

      def sign(difference)
        return "+" unless difference.before

        difference.after ? "~" : "-"
      end

      def dry_start(text)
        content = Core::Design::ProjectFile.read(text)
        @out.puts Core::Messages[
          "commands.import_project.tables_people",
          project: content.design["name"],
          tables: content.design["tables"].length,
          people: content.people.length
                  ]
        0
      end

      def start(text, dry)
        return dry_start(text) if dry

        content = Core::Design::ProjectFile.read(text)
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
