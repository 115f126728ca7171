# frozen_string_literal: true

module UpTack
  # Where this installation has its files, and how it starts further processes.
  module Installation
    ROOT = File.expand_path("../../..", __dir__)

    # As in the document of the API, after Semantic Versioning.
    VERSION = "0.1.0"

    # Told to a process of Ruby that does one thing many times: to compile it, where it can.
    COMPILING = defined?(RubyVM::YJIT) ? ["--yjit", "--yjit-exec-mem-size=8"].freeze : [].freeze

    # @param parts [Array<String>] of a path below the root
    # @return [String] the whole path
    def self.path(*parts) = File.join(ROOT, *parts)
  end
end
