# frozen_string_literal: true

module UpTack
  module Store
    # Asks the database from a process of its own: while SQLite sorts a million records no
    # other thread of this one could go on.
    module Elsewhere
      SCRIPT = File.join(App::ROOT, "bin", "support", "numbers.rb")

      module_function

      # @param path [String] the database's file
      # @param sql [String] gives one column `id` of whole numbers
      # @return [Array<Integer>, nil] nil where it could not be asked so
      def numbers(path, sql)
        IO.popen([{"RUBYOPT" => nil}, RbConfig.ruby, "--disable-gems", *libraries, SCRIPT, path, {err: File::NULL}], "r+b") do |child|
          child.write(sql)
          child.close_write
          answer = child.read
          child.close
          answer.unpack("q<*") if $CHILD_STATUS.success?
        end
      rescue SystemCallError
        nil
      end

      def libraries = Gem.loaded_specs.fetch("sqlite3").full_require_paths.flat_map { |folder| ["-I", folder] }
    end
  end
end
