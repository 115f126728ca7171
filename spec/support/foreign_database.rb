# frozen_string_literal: true

require "csv"
require "json"
require "sqlite3"
require "zip"

# A small database of somebody else, made up at random, and the same in every way in which it may be handed over.
# Written apart from the readers: what it puts down here must come in there.
class ForeignDatabase
  TEXTS = [
    "plain", "it's", "two\nlines", "tab\there", "back\\slash", "semi;colon", "-- no comment", "$$", "/* nor this */",
    "\\N", "NULL", "007", "1,5", "“curly”", "Zoë", "名前", "a \"quoted\" b", "=1+1", "spaced", "'", "\\'", "💡",
    "it's; -- $$ '", "%s"
  ].freeze
  CREATE = {
    "kilns" => "id INTEGER PRIMARY KEY, name VARCHAR(60) NOT NULL, twin_id INTEGER REFERENCES kilns(id), " \
      "keeper_code VARCHAR(10) REFERENCES keepers(code)",
    "keepers" => "code VARCHAR(10) PRIMARY KEY, name VARCHAR(60), first_kiln INTEGER, active BOOLEAN NOT NULL, " \
      "born DATE, FOREIGN KEY (first_kiln) REFERENCES kilns(id)",
    "firing_logs" => "id INTEGER PRIMARY KEY, kiln_id INTEGER NOT NULL REFERENCES kilns(id), degrees NUMERIC(8,2), " \
      "began TIMESTAMP, note TEXT, CHECK (degrees >= 0 AND degrees < 2000)"
  }.freeze
  COLUMNS = {"kilns" => %w[id name twin_id keeper_code], "keepers" => %w[code name first_kiln active born],
             "firing_logs" => %w[id kiln_id degrees began note]}.freeze

  # Column of a table, and key of a table to which it leads.
  KEYS = [
    %w[kilns twin_id kilns id], %w[kilns keeper_code keepers code], %w[keepers first_kiln kilns id],
    %w[firing_logs kiln_id kilns id]
  ].freeze

  TRIGGER = "CREATE TRIGGER noted AFTER DELETE ON kilns BEGIN INSERT INTO firing_logs (kiln_id) VALUES (1); " \
    "SELECT CASE WHEN 1 THEN 2 END; END"

  # @return [Hash{String=>Array<Array>}] rows by tables: numbers, texts, true, false, nil; days and times as texts
  attr_reader :rows

  def initialize(random)
    @random = random
    kilns = (1..8).map { |n| n * 3 }.shuffle(random: random)
    keepers = (1..5).map { |n| format("K-%02d", n) }
    @rows = {
      "kilns" => kilns.map { |id|
        [id, text, maybe { kilns.sample(random: random) }, maybe {
          keepers.sample(random: random)
        }]
      },
      "keepers" => keepers.map { |code|
        [code, maybe { text }, maybe {
          kilns.sample(random: random)
        }, random.rand(2) == 1, maybe {
                                  day
                                }]
      },
      "firing_logs" => (1..random.rand(12..30)).map { |id|
        [id * 7, kilns.sample(random: random), maybe { BigDecimal(random.rand(200_000)) / 100 }, maybe {
          "#{day} 0#{random.rand(3..9)}:15:30"
        }, maybe {
             text
           }]
      }
    }
  end

  # The ways by name: each takes a folder and gives the path of a file.
  def ways = {
    "database" => method(:sqlite), "SQL of SQLite" => method(:sqlite_dump), "SQL with COPY" => method(:copy_dump),
    "SQL with backslashes" => method(:backslash_dump), "archive" => method(:archive), "package" => method(:package)
  }

  def sqlite(folder)
    path = File.join(folder, "pots.sqlite")
    db = SQLite3::Database.new(path)
    CREATE.each { |table, columns| db.execute("CREATE TABLE #{table} (#{columns})") }
    @rows.each do |table, rows|
      insert = "INSERT INTO #{table} VALUES (#{COLUMNS[table].map { "?" }.join(",")})"
      rows.each { |row| db.execute(insert, row.map { |cell| plain(cell) }) }
    end
    db.execute("CREATE VIEW seen AS SELECT * FROM kilns")
    db.execute(TRIGGER)
    db.close
    path
  end

  def sqlite_dump(folder) = written(folder, "pots.sql") { |io|
    io << "PRAGMA foreign_keys=OFF;\nBEGIN TRANSACTION;\n"
    CREATE.each do |table, columns|
      io << "CREATE TABLE IF NOT EXISTS \"#{table}\" (#{columns});\n"
      @rows[table].each { |row|
        io << "INSERT INTO #{table} VALUES(#{row.map { |cell|
          in_sqlite(cell)
        }.join(",")});\n"
      }
    end
    io << "#{TRIGGER};\nCOMMIT;\n"
  }

  def copy_dump(folder) = written(folder, "pots.sql") { |io|
    io << "--\n-- it's a dump; of a database\n--\n\n\\restrict dW4kQ8\n\nSET client_encoding = 'UTF8';\n"
    io << "CREATE FUNCTION public.f() RETURNS trigger AS $b$ BEGIN INSERT INTO x VALUES (1); END; $b$ LANGUAGE p;\n"
    CREATE.each do |table, columns|
      plain = columns.gsub(/ PRIMARY KEY| REFERENCES \w+\(\w+\)|, FOREIGN KEY.*\z/, "")
      plain = plain.gsub("VARCHAR", "character varying").gsub("TIMESTAMP", "timestamp without time zone")
      io << "CREATE TABLE public.#{table} (\n    #{plain}\n);\n"
    end
    CREATE.each_key do |table|
      io << "--\n-- Data for Name: #{table}; Owner: it's mine\n--\n\n"
      io << "/* the rows */ " if table == CREATE.keys.last
      io << "COPY public.#{table} (#{COLUMNS[table].join(", ")}) FROM stdin;\n"
      @rows[table].each { |row| io << row.map { |cell| copied(cell) }.join("\t") << "\n" }
      io << "\\.\n\n"
    end
    add = ->(table, what) { io << "ALTER TABLE ONLY public.#{table}\n    ADD CONSTRAINT \"it's\" #{what};\n" }
    COLUMNS.first(2).each { |table, columns| add.call(table, "PRIMARY KEY (#{columns.first})") }
    KEYS.each do |table, column, to, key|
      add.call(table, "FOREIGN KEY (#{column}) REFERENCES public.#{to}(#{key}) ON DELETE CASCADE")
    end
  }

  def backslash_dump(folder) = written(folder, "pots.sql") { |io|
    io << "/*!40101 SET NAMES utf8mb4 */;\n"
    CREATE.each do |table, columns|
      keys = KEYS.select { |from, *| from == table }.map do |_, column, to, key|
        ", CONSTRAINT `fk_#{column}` FOREIGN KEY (`#{column}`) REFERENCES `#{to}` (`#{key}`)"
      end
      body = columns.gsub(/, FOREIGN KEY.*\z| REFERENCES \w+\(\w+\)/, "")
      body = body.gsub("BOOLEAN", "tinyint(1)").gsub("TIMESTAMP", "datetime(6)")
      io << "DROP TABLE IF EXISTS `#{table}`;\nCREATE TABLE `#{table}` (#{body}, KEY `idx` (`#{COLUMNS[table][1]}`)"
      io << "#{keys.join}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COMMENT='it\\'s';\n"
      rows = @rows[table].map { |row| "(#{row.map { |cell| escaped(plain(cell)) }.join(",")})" }
      io << "INSERT INTO `#{table}` VALUES #{rows.join(",")};\n" if rows.any?
    end
  }

  def archive(folder) = zipped(folder) { |zip|
    @rows.each { |table, rows| zip.put_next_entry("pots/#{table}.csv") && zip << csv(table, rows) }
  }

  def package(folder) = zipped(folder) { |zip|
    types = {"INTEGER" => "integer", "NUMERIC(8,2)" => "number", "BOOLEAN" => "boolean", "DATE" => "date",
             "TIMESTAMP" => "datetime"}
    resources = @rows.keys.map { |table|
      fields = CREATE[table].scan(/(?:\A|, )([a-z]\w*) ([A-Z]+(?:\([\d,]+\))?)/).map { |name, type|
        {"name" => name, "type" => types.fetch(type, "string")}
      }
      keys = KEYS.select { |from, *| from == table }.map { |_, *rest| rest }
      {"name" => table, "path" => "data/#{table}.csv", "schema" => {
        "fields" => fields, "primaryKey" => COLUMNS[table].first,
        "foreignKeys" => keys.map { |column, to, key|
          {"fields" => column, "reference" => {"resource" => (to == table) ? "" : to, "fields" => key}}
        }
      }}
    }
    zip.put_next_entry("datapackage.json") && zip << JSON.generate("resources" => resources)
    @rows.each { |table, rows| zip.put_next_entry("data/#{table}.csv") && zip << csv(table, rows) }
  }

  private

  def maybe = (@random.rand(5).zero? ? nil : yield)
  def text = TEXTS.sample(random: @random) + [" #{@random.rand(100)}", ""].sample(random: @random)
  def day = format("20%02d-%02d-%02d", @random.rand(10..26), @random.rand(1..12), @random.rand(1..28))

  def plain(cell)
    case cell
    when true then 1
    when false then 0
    when BigDecimal then cell.to_f
    else cell
    end
  end

  def in_sqlite(cell)
    cell = plain(cell)
    return cell.nil? ? "NULL" : cell.to_s unless cell.is_a?(String)

    quoted = "'#{cell.gsub("'", "''")}'"
    # As its shell writes line breaks.
    cell.include?("\n") ? "replace(#{quoted.gsub("\n", "\\n")},'\\n',char(10))" : quoted
  end

  def copied(cell)
    case cell
    when nil then "\\N"
    when true then "t"
    when false then "f"
    when BigDecimal then cell.to_s("F")
    else cell.to_s.gsub("\\", "\\\\\\\\").gsub("\n", "\\n").gsub("\t", "\\t")
    end
  end

  def escaped(cell)
    return "NULL" if cell.nil?
    return cell.to_s unless cell.is_a?(String)

    "'#{cell.gsub(/[\\'"\n]/) { |sign| (sign == "\n") ? "\\n" : "\\#{sign}" }}'"
  end

  def csv(table, rows) = CSV.generate { |all|
    all << COLUMNS[table]
    rows.each { |row| all << row.map { |cell| cell.is_a?(BigDecimal) ? cell.to_s("F") : cell } }
  }

  def written(folder, name, &block) = File.join(folder, name).tap { |path| File.open(path, "w", &block) }
  def zipped(folder, &block) = File.join(folder, "pots.zip").tap { |path| Zip::OutputStream.open(path, &block) }
end
