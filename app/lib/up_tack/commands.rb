# frozen_string_literal: true

module UpTack
  # The command line, one file a command.
  module Commands
    # @return [Hash{String=>Class}] the commands by name
    def self.all =
      {
        "eval" => Eval,
        "mask" => Mask,
        "prove" => Prove,
        "export-project" => ExportProject,
        "import-project" => ImportProject,
        "sheet" => Sheet,
        "import" => Import,
        "backup" => Backup,
        "restore" => Restore,
        "check" => Check,
        "verify-log" => VerifyLog
      }

    # @param arguments [Array<String>] the command's name first
    # @return [Integer] the exit status
    def self.run(arguments, out: $stdout, err: $stderr)
      name, *rest = arguments
      command = all[name]
      return command.new(out: out, err: err).run(rest) if command

      err.puts "Commands: #{all.map { |each, kind| "\n  uptack #{each} #{kind::USAGE}" }.join}"
      (name.nil? || name == "--help") ? 0 : 2
    rescue Store::SystemTables::TooNew => e
      err.puts e.message
      2
    end

    # Says what is wrong in a file, a line each.
    # @param problems [Array<Core::Problem>]
    # @return [Integer] the exit status
    def self.tell_problems(problems, path, err)
      problems.each do |problem|
        place = "#{problem.place}: " if problem.place && !problem.message.start_with?(problem.place)
        err.puts "#{path}: #{place}#{problem.message}"
      end
      2
    end
  end
end
