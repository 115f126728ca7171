# frozen_string_literal: true

require "store_helper"

# Files as they come: cut off, damaged, under a wrong ending. Whatever it is, it is either read or
# refused in words that name the file, and what is refused leaves nothing behind.
RSpec.describe "Broken files" do
  files = Dir[File.expand_path("../../demo/imports/*", __dir__)].select { |path| %w[.csv .xlsx .ods .json .jsonl].include?(File.extname(path)) }
  random = Random.new(RSpec.configuration.seed)

  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  def counts = workspace.project.tables.to_h { |table| [table.key, UpTack::Store::Rows.new(table).count] }

  # @return [Symbol] :saved or :refused
  def take(bytes, name, table)
    path = File.join(@folder, name)
    File.binwrite(path, bytes)
    source = UpTack::Interchange::Source.open(path, name: name)
    looked = UpTack::UseCases::Imports::Look.new(workspace).call(source, workspace.table(table))
    return :refused if looked.settings.columns.none?(&:field)

    result = UpTack::UseCases::Imports::Run.new(workspace).call(source: source, table: table, settings: looked.settings, keep: "all", name: name, refused: File.join(@folder, "refused.jsonl"))
    result.report.clean? ? :saved : :refused
  rescue UpTack::Interchange::Unreadable => e
    expect(e.message).to include(name).or match(/row|line|object/i)
    :refused
  end

  def table_of(path) = %w[clays members pieces].find { |key| File.basename(path).start_with?(key) } || "members"

  files.each do |path|
    it "takes or refuses #{File.basename(path)} whole, wherever it is cut off or damaged" do
      whole = File.binread(path)
      changed = Array.new(5) { whole[0, random.rand(whole.bytesize)] } + Array.new(5) { |length| whole[0, length] } + Array.new(3) { whole.dup.tap { |bytes| 4.times { bytes.setbyte(random.rand(bytes.bytesize), random.rand(256)) } } }
      # The directory of a packed file stands at its end.
      changed += Array.new(4) { whole.dup.tap { |bytes| 2.times { bytes.setbyte([bytes.bytesize - 1 - random.rand(400), 0].max, random.rand(256)) } } }
      changed.each do |bytes|
        before = counts
        answer = take(bytes, File.basename(path), table_of(path))
        expect(counts).to eq(before), bytes.inspect if answer == :refused
        expect(ActiveRecord::Base.connection.select_value("PRAGMA integrity_check")).to eq("ok")
      end
    end
  end

  it "is not misled by a wrong ending" do
    files.product(%w[csv xlsx ods json jsonl]).each do |path, ending|
      before = counts
      answer = take(File.binread(path), "as.#{ending}", table_of(path))
      expect(counts).to eq(before), "#{path} as #{ending}" if answer == :refused
    end
  end
end
