# frozen_string_literal: true

require "csv"

# The demo's Pieces, under all of their rules: a file of them, and its import as the server does it, in the processes of
# UpTack::Work.
module DemoPieces
  COLUMNS = ["Piece", "Maker", "Clay family", "Clay", "Kiln", "Firing", "Peak °C", "Clay weight g", "Tare g",
    "Wet weight g", "Received", "Fragile", "Maker note"].freeze
  MAKERS = ["Maro Tinsley", "Teodor Quill", "Isolde Penhurrow"].freeze
  CLAYS = [["Stoneware", nil], ["Earthenware", nil]].freeze

  module_function

  # @return [Integer] rules of the table
  def rules = workspace.table("pieces").rules.length

  def file(folder, rows)
    path = File.join(folder, "demo_pieces.csv")
    CSV.open(path, "w") do |csv|
      csv << COLUMNS
      rows.times { |index| csv << row(index) }
    end
    path
  end

  def row(index)
    clay = 300 + (index % 700)
    day = format("2026-11-%02d", 1 + (index % 28))
    [
      "Soup bowl #{index}", MAKERS[index % MAKERS.length], *CLAYS[index % CLAYS.length], "Big kiln", "Bisque",
      980 + (index % 20), clay, 55, clay + 55, day, (index % 4).zero? ? "yes" : "no",
      ("Shelf #{index % 90}" if index.even?)
    ]
  end

  # @return [Array(Float, Integer, Integer)] seconds, records made, and rows refused
  def import(path)
    person = UpTack::Store::Person.first
    upload = UpTack::UseCases::Imports::Uploads.new(person).add(File.open(path, "rb"), "pieces.csv")
    order = {table: "pieces", upload: upload, options: {}, overrides: {}, keep: "passing"}
    result = nil
    taken = seconds do
      result = UpTack::Work.call("import", order, person: person, progress: UpTack::Progress.none)
    end
    [taken, result.made, result.report.refused_count]
  end

  # @yield in a database of the demo
  def opened(folder)
    UpTack::Store::Database.open(File.join(folder, "demo.sqlite3"))
    UpTack::UseCases::Design::InstallDemo.new.call
    UpTack::Work.start
    # The process that is asked for work has loaded the program, as it has in a server that runs.
    UpTack::Work.call("space", {}, person: UpTack::Store::Person.first, progress: UpTack::Progress.none)
    yield
  ensure
    UpTack::Work.leave
    UpTack::Store::Database.close
  end
end
