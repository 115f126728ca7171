# frozen_string_literal: true

require "sqlite3"
require "thor"

module UpTack
  # The command line: what it takes stands in Cli, what each command does in a file of its own.
  module Commands
    # Expressions and masks may begin with a minus; after these every argument is one.
    TEXTS = {"eval" => %w[--values --today --json], "mask" => %w[--json]}.freeze
    # What stands for "-" from here on, which would be taken for an option; and commands that know it.
    PIPE = "standard input or output"
    PIPED = %w[export import].freeze
    private_constant :TEXTS, :PIPED

    class << self
      # @param arguments [Array<String>] the command's name first
      # @return [Integer] the exit status: 0 done; 1 done, and something was refused, failed or altered; 2 not done
      def run(arguments, out: $stdout, err: $stderr, input: $stdin)
        status = Cli.call(arranged(arguments), Cli::Terminal.new(out, err, input))
        status.is_a?(Integer) ? status : 0
      rescue Core::Invalid => e
        err.puts(e.problems.map { |problem| placed(problem) })
        2
      rescue Interrupt
        err.puts Core::Messages["commands.all.stopped"]
        130
      rescue => e
        raise unless (message = reason(e))

        err.puts message
        2
      end

      # @param problem [Core::Problem]
      # @return [String] what is wrong, after where it is
      def placed(problem)
        stands = problem.place.nil? || problem.message.start_with?(problem.place)
        stands ? problem.message : "#{problem.place}: #{problem.message}"
      end

      private

      # "uptack prove --help" as "uptack help prove"; texts that look like options after "--".
      def arranged(arguments)
        name, *rest = arguments.map(&:dup)
        return ["version"] if %w[--version -v].include?(name)
        return ["help", name.tr("-", "_")] if name && !name.start_with?("-") && rest.intersect?(%w[--help -h])
        rest.map! { |argument| (argument == "-") ? PIPE : argument } if PIPED.include?(name)
        return [name, *rest].compact unless (options = TEXTS[name])

        given, texts = [], []
        while (argument = rest.shift)
          known = options.find { |option| argument == option || argument.start_with?("#{option}=") }
          next texts << argument unless known

          given << argument
          given << rest.shift.to_s if argument == known && known != "--json"
        end
        [name, *given, "--", *texts]
      end

      # @return [String, nil] what to say of an error; nil for one that nobody expects
      def reason(error)
        case error
        when Thor::UndefinedCommandError then Core::Messages["commands.all.unknown_command", name: error.command]
        when Thor::UnknownArgumentError
          Core::Messages["commands.all.unknown_option", name: error.unknown.join(", ")]
        when Thor::Error then (error.message[/Usage: .*/m] || error.message).delete('"')
        when Command::Failure, Interchange::Unreadable, Store::NotFound, Services::NotAllowed, Store::Backups::Unsound,
          Store::SystemTables::TooNew, Store::LogCheck::Unchecked, Store::LogKey::Unfit, Store::PrivateCopy::Failed,
          Services::Portions::Overtaken
          error.message
        when Store::RunningBatch::Busy
          person = Store::Person.find(error.running.batch.person_id)
          UseCases::Maintenance::Writing.new(Workspace.new(person: person)).why(error)
        when SQLite3::Exception, ActiveRecord::ActiveRecordError
          why = error.message.lines.first.strip.sub(/\ASQLite3::\w+: /, "").chomp(":")
          Core::Messages["commands.all.cant_use_file", path: Database.named, why: why]
        when SystemCallError then unusable(error)
        end
      end

      def unusable(error)
        path = error.message[/ @ \S+ - (.+)\z/, 1] || error.message
        why =
          case error
          when Errno::ENOENT then Core::Messages["commands.all.no_folder"]
          when Errno::EACCES, Errno::EPERM, Errno::EROFS then Core::Messages["commands.all.no_permission"]
          when Errno::EISDIR then Core::Messages["commands.all.is_folder"]
          when Errno::ENOSPC then Core::Messages["commands.all.disk_full"]
          else error.class.name.split("::").last
          end
        Core::Messages["commands.all.cant_use_file", path: path, why: why]
      end
    end
  end
end
