# frozen_string_literal: true

module UpTack
  module Interchange
    module Sql
      # The tables that statements describe: CREATE TABLE, and what ALTER TABLE, CREATE INDEX and CREATE TYPE add.
      class Schema
        # Objects that are no tables, which are counted.
        OTHERS = {"VIEW" => :views, "TRIGGER" => :triggers, "FUNCTION" => :functions, "PROCEDURE" => :functions}.freeze
        # Words between CREATE and what is made.
        BETWEEN = %w[OR REPLACE GLOBAL LOCAL TEMP TEMPORARY UNLOGGED MATERIALIZED VIRTUAL].freeze

        # @return [Hash{Symbol=>Integer}] how many there were of what is left out
        attr_reader :left_out

        # @param escapes [Boolean] see Statements#escapes?
        def initialize(escapes: false)
          @escapes = escapes
          @tables = {}
          @choices = {}
          @left_out = Hash.new(0)
        end

        # @return [Array<Table>]
        def tables = @tables.values

        # @param name [String]
        # @return [Table, nil]
        def table(name) = @tables[name.downcase]

        # @param table [Table]
        def add(table) = @tables[table.name.downcase] ||= table

        # Takes what a statement says of tables.
        # @param statement [String]
        # @return [void]
        def take(statement)
          return unless statement.match?(/\A(?:\s|--[^\n]*\n|\/\*.*?\*\/)*(?:create|alter)\s/im)

          @tokens = Tokens.new(statement, escapes: @escapes)
          @tokens.pass?("CREATE") ? create : alter
        end

        private

        def create
          @tokens.take while BETWEEN.any? { |word| @tokens.is?(word) }
          if @tokens.pass?("TABLE") then create_table
          elsif @tokens.pass?("TYPE") then create_type
          elsif @tokens.pass?("UNIQUE", "INDEX") then create_index
          elsif (kind = OTHERS.keys.find { |word| @tokens.is?(word) }) then @left_out[OTHERS[kind]] += 1
          end
        end

        def create_table
          @tokens.pass?("IF", "NOT", "EXISTS")
          name = @tokens.name or return
          @table = Table.new(name: name, columns: [], links: [], checks: [], unique: [], notes: [])
          return unless @tokens.pass?("(")

          until @tokens.done?
            definition
            @tokens.skip_to(",", ")")
            break unless @tokens.pass?(",")
          end
          add(@table) if @table.columns.any?
        end

        def definition
          @tokens.name if @tokens.pass?("CONSTRAINT")
          return if constraint
          return unless %i[word name].include?(@tokens.peek&.kind)

          column(@tokens.name)
        end

        # @return [Boolean] whether it was one of the whole table
        def constraint
          if @tokens.pass?("PRIMARY", "KEY") then primary(@tokens.names)
          elsif @tokens.pass?("FOREIGN", "KEY") then link(@tokens.names)
          elsif @tokens.is?("UNIQUE") then unique
          elsif @tokens.pass?("CHECK") then @table.checks << @tokens.bracketed
          elsif @tokens.is?("EXCLUDE") || (@tokens.is?("KEY") || @tokens.is?("INDEX") || @tokens.is?("FULLTEXT")) &&
              index? then @tokens.take
          else return false
          end
          true
        end

        # A column may be called "key" as well.
        def index?
          following = @tokens.peek(1)
          following.nil? || following.text == "(" || @tokens.is?("(", 2) || following.text == "KEY"
        end

        def unique
          @tokens.take
          @tokens.pass?("KEY") || @tokens.pass?("INDEX")
          @tokens.name unless @tokens.is?("(")
          only(@tokens.names)
        end

        # What is unique by a calculation says nothing of its columns.
        def only(names)
          found = names.map { |name| name && @table.column(name) }
          return if found.empty? || found.include?(nil)

          found.one? ? found.first.unique = true : @table.unique << found.map(&:name)
        end

        def primary(names)
          found = names.compact.filter_map { |name| @table.column(name) }
          found.each { |column| column.required = true }
          found.first.key = true if found.one?
          only(names)
        end

        def link(columns)
          return unless @tokens.pass?("REFERENCES")

          table = @tokens.name
          @table.links << Link.new(columns: columns, table: table, references: @tokens.names)
        end

        def column(name)
          declared = type_of_column
          @column = Column.new(
            name: name, type: Sql.type(declared), text: Sql.text?(declared), longest: Sql.longest(declared),
            binary: Sql.binary?(declared, @escapes),
            choices: @choices[declared.downcase] || enumerated(declared)
          )
          @table.columns << @column
          until @tokens.done? || @tokens.is?(",") || @tokens.is?(")")
            said_of_column || (@tokens.is?("(") ? @tokens.bracketed : @tokens.take)
          end
        end

        # Words after which a type has come to its end.
        AFTER = %w[
          NOT NULL PRIMARY UNIQUE DEFAULT CHECK REFERENCES CONSTRAINT COLLATE GENERATED AS AUTOINCREMENT AUTO_INCREMENT
          COMMENT ON
        ].freeze

        def type_of_column
          said = +""
          until @tokens.done? || @tokens.is?(",") || @tokens.is?(")")
            token = @tokens.peek
            break if token.kind == :word && AFTER.include?(token.text)

            if @tokens.is?("(")
              said << "(#{@tokens.bracketed})"
            else
              said = +"" if @tokens.pass?(".") # the name of its schema
              said << " #{@tokens.take.text}" unless @tokens.is?("(")
            end
          end
          said.strip
        end

        def enumerated(declared)
          list = declared[/\Aenum\s*\((.*)\)/im, 1] and Tokens.new(list, escapes: @escapes).texts
        end

        # @return [Boolean] whether something was passed
        def said_of_column
          if @tokens.pass?("NOT", "NULL") then @column.required = true
          elsif @tokens.pass?("PRIMARY", "KEY") then primary([@column.name])
          elsif @tokens.pass?("UNIQUE") then @column.unique = true
          elsif @tokens.pass?("CHECK") then @table.checks << @tokens.bracketed
          elsif @tokens.is?("REFERENCES") then link([@column.name])
          elsif @tokens.pass?("DEFAULT") then default
          elsif @tokens.is?("GENERATED") || @tokens.is?("AS") then generated
          else return false
          end
          true
        end

        def generated
          @tokens.take
          return if @tokens.pass?("BY") # an identity

          @tokens.pass?("ALWAYS")
          @tokens.pass?("AS")
          return if @tokens.is?("IDENTITY")

          formula = @tokens.bracketed
          @table.notes << Core::Messages["interchange.sql.column_is_calculated", column: @column.name,
            formula: formula[0, 200]]
        end

        NOW = {"CURRENT_DATE" => "today()", "CURRENT_TIMESTAMP" => "now()", "NOW" => "now()",
               "LOCALTIMESTAMP" => "now()"}.freeze

        def default
          token = @tokens.peek
          negative = @tokens.pass?("-")
          token = @tokens.peek if negative
          return if token.nil?
          return calculated_default(@tokens.bracketed) if @tokens.is?("(")

          @tokens.take
          case token.kind
          when :number then @column.default = Default.new(value: Number.new("#{"-" if negative}#{token.text}"))
          when :text then @column.default = Default.new(value: token.text)
          when :word then word_default(token.text)
          end
        end

        def word_default(word)
          return if word == "NULL"
          return @column.default = Default.new(value: word == "TRUE") if %w[TRUE FALSE].include?(word)

          called = @tokens.is?("(") ? @tokens.bracketed : ""
          formula = NOW[word]
          return @column.default = Default.new(formula: formula) if formula

          cannot_say("#{word.downcase}(#{called})") unless word == "NEXTVAL"
        end

        # What SQLite has in brackets.
        def calculated_default(text)
          formula = {"date('now')" => "today()", "datetime('now')" => "now()"}[text.delete(" ").downcase] ||
            NOW[text.upcase]
          return @column.default = Default.new(formula: formula) if formula

          value = Literals.value(StringScanner.new(text), @escapes)
          (value.nil? || value.equal?(Literals::LEFT)) ? cannot_say(text) : @column.default = Default.new(value: value)
        end

        def cannot_say(text)
          @table.notes << Core::Messages["interchange.sql.default_is_not_taken", column: @column.name,
            formula: text[0, 200]]
        end

        def create_type
          name = @tokens.name or return
          return unless @tokens.pass?("AS", "ENUM")

          @choices[name.downcase] = Tokens.new(@tokens.bracketed, escapes: @escapes).texts
        end

        def create_index
          @tokens.pass?("IF", "NOT", "EXISTS")
          @tokens.take until @tokens.done? || @tokens.is?("ON")
          @tokens.pass?("ON")
          @tokens.pass?("ONLY")
          @table = table(@tokens.name.to_s) or return
          @tokens.name if @tokens.pass?("USING")
          names = @tokens.names
          # One of only some records says nothing of all.
          only(names) unless @tokens.is?("WHERE")
        end

        def alter
          @tokens.take
          return unless @tokens.pass?("TABLE")

          @tokens.pass?("IF", "EXISTS")
          @tokens.pass?("ONLY")
          @table = table(@tokens.name.to_s) or return
          until @tokens.done?
            if @tokens.pass?("ADD")
              @tokens.name if @tokens.pass?("CONSTRAINT")
              constraint
            end
            @tokens.skip_to(",")
            @tokens.take
          end
        end
      end
    end
  end
end
