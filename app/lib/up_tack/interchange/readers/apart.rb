# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # A workbook that is read in a process of its own, which may take so much memory and no more: whatever
      # the file holds, and whatever the libraries make of it, this process and everybody's work go on. One
      # process is asked for the head first and for the rows after it.
      class Apart
        SCRIPT = Installation.path("bin", "support", "workbook.rb")
        # Bytes of memory, and seconds of work.
        MEMORY = 1_500_000_000
        SECONDS = 900

        attr_reader :format, :columns, :notes, :sheets, :sheet, :heading

        # @param options [Hash{String=>String}] see Workbook
        # @raise [Unreadable]
        def initialize(path, name, options = {})
          @path = path
          @name = name
          @options = options
          head = ask("head") { |frame| break frame }
          @format, @columns, @notes, @sheets, @sheet, @heading =
            head.values_at("format", "columns", "notes", "sheets", "sheet", "heading")
        end

        # @return [Hash{Symbol=>Object}] how it is read: sheet: the name of one, sheets: of all, and heading:
        def read_as = {sheets: sheets, sheet: sheet, heading: heading}

        # @return [Integer] rows, about, by which progress is told
        def size = @size ||= ask("size") { |frame| break frame }

        # @yield [Source::Row] each row after the head
        # @yieldparam place [Integer] how many rows are read
        def each_row
          whole = false
          ask("rows") do |frame|
            number, values, problem, place = frame
            break whole = true if number.nil?

            yield Source::Row.new(number, values, problem), place
          end
        ensure
          let_go unless whole
        end

        private

        # @yield [Object] each thing that it says, until the block has what it wants
        def ask(what)
          begin_child unless @into
          @into.puts(what)
          loop { yield heard }
        rescue Errno::EPIPE
          raise beyond
        end

        # @raise [Unreadable] where it says so, or says nothing more
        def heard
          length = @from.read(4)&.unpack1("N") or raise beyond
          # rubocop:disable Security/MarshalLoad -- from this program's own process
          kind, content = Marshal.load(@from.read(length))
          return content if kind == "told"

          let_go
          raise Unreadable, content
        rescue ArgumentError, TypeError
          raise beyond
        end

        def beyond
          let_go
          Unreadable.new(Core::Messages["interchange.apart.takes_more_memory_or_time_to_open", name: @name])
        end

        # It ends once nobody holds its pipes any more.
        def begin_child
          own, @into = IO.pipe
          @from, other = IO.pipe
          [@from, other].each(&:binmode)
          arguments = [@path, @name, JSON.generate(@options)]
          @child =
            Process.spawn(
              {"RUBYOPT" => nil},
              RbConfig.ruby,
              "-rbundler/setup",
              SCRIPT,
              *arguments,
              in: own,
              out: other,
              err: File::NULL,
              rlimit_as: MEMORY,
              rlimit_cpu: SECONDS
            )
          Process.detach(@child)
          [own, other].each(&:close)
          @into.sync = true
        end

        def let_go
          return unless @into

          Process.kill("TERM", @child)
        rescue Errno::ESRCH
          nil
        ensure
          [@into, @from].compact.each(&:close)
          @into = @from = nil
        end
      end
    end
  end
end
