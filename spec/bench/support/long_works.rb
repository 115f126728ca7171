# frozen_string_literal: true

require "csv"

# The long works that are killed: each begins with the records as they are, and says what must be there if it came to
# its end. All of them leave either that or nothing.
class LongWorks
  NAMES = %w[import all change copy delete undo samples].freeze

  # @return [String] the file that is imported
  attr_reader :path

  # @param folder [String] for the file that is imported
  # @param rows [Integer]
  def initialize(folder, rows)
    @rows = rows
    @path = File.join(folder, "pieces.csv")
    CSV.open(@path, "w") do |csv|
      csv << %w[Piece Maker Clay Tare Wet Firing Peak]
      rows.times { |index| csv << piece(index).values_at("piece", "maker", "clay", "tare", "wet", "firing", "peak") }
    end
  end

  # @param name [String] one of NAMES
  # @return [Array(String, Hash)] task of UpTack::Work and its arguments
  def order(name)
    case name
    when "import" then ["import", file("passing")]
    when "all" then ["import", file("all")]
    when "undo" then ["undo", {batch: latest_import}]
    when "samples" then ["samples", {table: "pieces", count: @rows / 4, seed: 7}]
    else ["bulk", {table: "pieces", kind: name, ids: ids, keep: "passing", typed: typed(name)}]
    end
  end

  # @return [Hash{Integer=>Array}] what each record of a table says, but for when it was changed
  def self.contents
    UpTack::Store::Database
      .connection
      .select_rows("SELECT id, piece, maker, clay, wet, note FROM pieces")
      .to_h { |id, *said| [id, said] }
  end

  private

  def file(keep)
    upload = UpTack::UseCases::Imports::Uploads::Upload.new(path: @path, name: "pieces.csv")
    {table: "pieces", upload: upload, options: {}, overrides: {}, keep: keep}
  end

  def typed(name) = (name == "change") ? {"note" => "Seen #{rand(1_000_000)}"} : {}
  def ids = UpTack::Store::RecordTable.model("pieces").order(id: :desc).limit(@rows).pluck(:id)

  def latest_import
    UpTack::Store::Batch.where("summary LIKE 'Imported%'").order(id: :desc).find { |batch| !batch.undone? }&.id
  end
end
