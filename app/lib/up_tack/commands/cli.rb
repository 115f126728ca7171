# frozen_string_literal: true

module UpTack
  module Commands
    # What the command line takes: each command with its options, what it is for and an example. What it does
    # stands in a class of its own.
    class Cli < Thor
      # Prints to where the caller says.
      class Terminal < Thor::Shell::Basic
        attr_reader :stdout, :stderr, :input

        def initialize(out, err, input)
          super()
          @stdout = out
          @stderr = err
          @input = input
        end
      end

      def self.basename = "uptack"
      def self.exit_on_failure? = true

      # @param arguments [Array<String>]
      # @param shell [Terminal]
      # @return [Integer, Object] what the command gives
      # @raise [Thor::Error] if there is no such command or option
      def self.call(arguments, shell) = dispatch(nil, arguments, nil, shell: shell)

      check_unknown_options!
      remove_command :tree

      class_option :json, type: :boolean, default: false, desc: "Print one line of JSON instead of text"

      DATABASE = {banner: "FILE", desc: "Database to work on; default: that of UP_TACK_DATA, or data/up_tack.sqlite3"}
        .freeze
      private_constant :DATABASE

      desc "eval EXPRESSION", "Calculate an expression of the formula language"
      long_desc <<~TEXT
        Prints the type and value as JSON. An error goes to standard error with its position, and the exit status is 1.

        Example: uptack eval 'clay + tare' --values '{"clay":"640","tare":55}'
      TEXT
      option :values, banner: "JSON", desc: "Values of names, such as {\"clay\":\"640\"}"
      option :today, banner: "DATE", desc: "What today() gives, such as 2026-11-23"
      def eval(*texts) = run(Eval, texts: texts)

      desc "mask MASK TEXT", "Show what a mask makes of a text"
      long_desc <<~TEXT
        Prints the text, whether it is complete and what is missing, as JSON.

        Example: uptack mask '2UPPER "-" 3DIGIT' 'kd01'
      TEXT
      def mask(mask, text) = run(Mask, mask: mask, text: text)

      desc "receive", "Stand in for the receiver of a webhook"
      long_desc <<~TEXT
        Listens on this machine alone and prints each message as a line of JSON, with whether its signature is right.
        Ctrl C stops it.

        Example: uptack receive --port 4900 --secret 5f3a…
      TEXT
      option :port, type: :numeric, banner: "PORT", desc: "Where to listen, 4900 without it"
      option :secret, banner: "SECRET", desc: "The webhook's secret, to check signatures"
      option :fail, type: :numeric, banner: "COUNT", desc: "Refuse so many messages first"
      def receive = run(Receive)

      desc "prove FILE", "Run the proofs of a project file"
      long_desc <<~TEXT
        Needs no server and no database, so that any CI can check a design. The exit status is 1 if a proof fails.

        Example: uptack prove demo/kiln_share.json
      TEXT
      def prove(file) = run(Prove, file: file)

      desc "sheet FILE", "Write the rule sheet of a project file as Markdown"
      long_desc "Example: uptack sheet design.json > rules.md"
      def sheet(file) = run(Sheet, file: file)

      desc "export-project [FILE]", "Write the design of a database as a project file"
      long_desc <<~TEXT
        Without FILE it goes to standard output.

        Example: uptack export-project design.json
      TEXT
      option :database, DATABASE
      def export_project(file = nil) = run(ExportProject, file: file)

      desc "import-project FILE", "Merge a project file into a database, or start a new one with it"
      long_desc <<~TEXT
        Prints what changes. For a new database the password of its first builder is read from standard input; its
        folder must exist.

        Example: uptack import-project design.json --dry-run
      TEXT
      option :database, DATABASE
      option :dry_run, type: :boolean, default: false, desc: "Change nothing"
      def import_project(file) = run(ImportProject, file: file)

      desc "export TABLE [FILE]", "Write the records of a table or of a view as a file"
      long_desc <<~TEXT
        Without FILE, or with -, it goes to standard output, for other programs. The format is that of the ending of
        FILE unless --format is given, and CSV without either.

        Example: uptack export pieces pieces.xlsx --filter 'peak > 900' --fields tag,peak
      TEXT
      option :database, DATABASE
      option :format, banner: "NAME", desc: "csv, xlsx, ods, json or jsonl"
      option :filter, banner: "FORMULA", desc: "Only records for which it is true"
      option :search, banner: "TEXT", desc: "Only records in which it stands somewhere"
      option :sort, banner: "FIELDS", desc: "Keys separated by commas; --sort=-key for descending order"
      option :fields, banner: "FIELDS", desc: "Keys separated by commas, in this order"
      def export(table, file = nil) = run(Export, table: table, file: file)

      desc "import TABLE FILE", "Import the records of a file through the rules of a table"
      long_desc <<~TEXT
        Saves all rows or none, unless --passing is given. The exit status is 1 if rows were refused.

        FILE may be - for standard input. How it is to be read is told by the file; the options are for where that
        goes wrong.

        Example: uptack import clays clays.csv --dry-run --match name
      TEXT
      option :database, DATABASE
      option :delimiter, banner: "SIGN", desc: "What separates cells: comma, semicolon, tab or bar"
      option :encoding, banner: "NAME", desc: "Of a CSV file, such as Windows-1252"
      option :sheet, banner: "NAME", desc: "Which sheet of a workbook"
      option :heading, banner: "ROW", desc: "Number of the row with the names of columns, or none"
      option :dates, banner: "ORDER", enum: %w[dmy mdy ymd], desc: "Order of dates in figures"
      option :decimal, banner: "MARK", enum: %w[point comma . ,], desc: "What stands before decimals"
      option :dry_run, type: :boolean, default: false, desc: "Save nothing"
      option :passing, type: :boolean, default: false, desc: "Save the rows that pass, even if others are refused"
      option :keep_blank, type: :boolean, default: false, desc: "Blank cells clear the field"
      option :map,
        type: :string,
        repeatable: true,
        banner: "COLUMN=FIELD",
        desc: "Field of a column; COLUMN=- ignores it"
      option :match, banner: "FIELD", desc: "Update records with the same value in this field"
      option :as_was, type: :boolean, default: false, desc: "Take stamps, tallies and log lines from the file"
      option :refused, banner: "FILE", desc: "File for the refused rows"
      def import(table, file) = run(Import, table: table, file: file)

      desc "import-tables FILE", "Make the tables of a file that has several, with their records"
      long_desc <<~TEXT
        FILE is a database of SQLite, a database written down as SQL, a workbook, a ZIP of tables, a data package, or
        a folder of such files. Tables, fields, links and rules are made as they are proposed; what can't be said is
        printed. Saves all rows or none, unless --passing is given. The exit status is 1 if rows were refused.

        Example: uptack import-tables shop.sqlite --dry-run
      TEXT
      option :database, DATABASE
      option :dry_run, type: :boolean, default: false, desc: "Save nothing"
      option :passing, type: :boolean, default: false, desc: "Save the rows that pass, even if others are refused"
      option :only, banner: "NAMES", desc: "Only these tables of the file, separated by commas"
      def import_tables(file) = run(ImportTables, file: file)

      desc "backup", "Back up a database, also while it is in use"
      long_desc "Example: uptack backup --to /mnt/disk/studio.sqlite3"
      option :database, DATABASE
      option :to, banner: "FILE", desc: "Where to write it; default: the folder of backups"
      def backup = run(Backup)

      desc "restore [BACKUP]", "Restore a backup; without one, list them"
      long_desc <<~TEXT
        BACKUP is a path, or a name in the folder of backups. The current database is backed up first. A
        running server goes on with what was restored.

        Example: uptack restore up_tack-20261123T020000-hand.sqlite3
      TEXT
      option :database, DATABASE
      def restore(backup = nil) = run(Restore, backup: backup)

      desc "compact", "Give back the room in the database that nothing needs any more"
      long_desc <<~TEXT
        Whoever saves waits for it. It needs as much room again.

        Example: uptack compact
      TEXT
      option :database, DATABASE
      def compact = run(Compact)

      desc "move-log", "Move older entries of the change log into a file beside the database"
      long_desc <<~TEXT
        A running server does the same, and History reads through those files. They leave the database when this is
        run again an hour later, so that whoever works in the meantime misses none.

        Example: uptack move-log --older-than 12
      TEXT
      option :database, DATABASE
      option :older_than, type: :numeric, banner: "MONTHS", desc: "UP_TACK_LOG_MONTHS without it"
      def move_log = run(MoveLog)

      desc "upgrade", "Bring a database of an older version up to date, after copying it"
      long_desc <<~TEXT
        Starting the server does the same. With --check nothing is done, and the exit status is 1 if something would be.

        Example: uptack upgrade --check
      TEXT
      option :database, DATABASE
      option :check, type: :boolean, desc: "Only say what would be done"
      def upgrade = run(Upgrade)

      desc "config", "List the settings from the environment and what is wrong with them"
      long_desc <<~TEXT
        The exit status is 1 if something is wrong. Secrets are not shown.

        Example: uptack config
      TEXT
      def config = run(Config)

      desc "check", "Verify the file, links, change log, calculated values and counters"
      long_desc "The exit status is 1 if a problem was found. Example: uptack check"
      option :database, DATABASE
      def check = run(Check)

      desc "verify-log [FILE]", "Verify the change log and every record, without writing"
      long_desc <<~TEXT
        The exit status is 1 if something was altered. --against compares it with a backup, an export of the log or the
        file of daily ends.

        Example: uptack verify-log --against data/up_tack-heads.jsonl
      TEXT
      option :against, banner: "FILE", desc: "What to compare it with"
      def verify_log(file = nil) = run(VerifyLog, file: file)

      desc "version", "Print the version"
      def version
        shell.say("Up Tack #{Installation::VERSION}")
        0
      end

      def self.help(shell, subcommand = false)
        super
        shell.say(Core::Messages["commands.all.more_help"])
      end

      no_commands do
        def run(command, **arguments)
          given = options.to_h.transform_keys(&:to_sym)
          made = command.new(out: shell.stdout, err: shell.stderr, input: shell.input, json: given.delete(:json))
          made.call(**arguments, **given)
        ensure
          made&.finish
        end
      end
    end
  end
end
