# frozen_string_literal: true

module UpTack
  # The command line, one file a command.
  module Commands
    # @return [Hash{String=>Class}] the commands by name
    def self.all = {"eval" => Eval, "mask" => Mask, "verify-log" => VerifyLog}

    # @param arguments [Array<String>] the command's name first
    # @return [Integer] the exit status
    def self.run(arguments, out: $stdout, err: $stderr)
      name, *rest = arguments
      command = all[name]
      return command.new(out: out, err: err).run(rest) if command

      err.puts "Commands: #{all.map { |each, kind| "\n  uptack #{each} #{kind::USAGE}" }.join}"
      (name.nil? || name == "--help") ? 0 : 2
    end
  end
end
