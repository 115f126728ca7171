# frozen_string_literal: true

require "store_helper"
require "support/foreign_database"

# Databases that nobody here made, handed over in every way, come in with every cell and every link as they were.
RSpec.describe "A whole database" do
  imports = UpTack::UseCases::Imports
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  define_method(:brought) { |path| imports::Uploads.new(person).add(File.open(path, "rb"), File.basename(path)) }
  define_method(:looked) { |upload| imports::Collections.new(workspace).call(upload) }
  define_method(:taken) do |upload, wishes, keep: "all", of: workspace|
    imports::ImportCollection.new(of).call(upload: upload, tables: wishes, keep: keep)
  end

  # What a builder sends who has changed nothing.
  def wishes(proposed) =
    proposed.map do |table|
      fields = table.fields.map do |field|
        field.to_h.transform_keys(&:to_s).merge("rules" => field.rules.reject(&:doubtful).map(&:parts))
      end
      {"number" => table.number, "key" => table.key, "label" => table.label, "fields" => fields,
       "rules" => table.rules.map(&:parts)}
    end

  def records(key) = UpTack::Store::RecordTable.new(workspace.table(key)).to_enum(:each).to_a

  # Rows as they were: links by the keys of the records to which they lead.
  def as_it_was(proposed)
    keys = proposed.to_h { |table| [table.key, records(table.key).to_h { |id, row| [id, row] }] }
    proposed.to_h do |table|
      rows = keys[table.key].values.map do |row|
        table.fields.map do |field|
          value = row[field.key]
          next value unless field.refers && value

          to = proposed.find { |each| each.key == field.target }
          keys[to.key][value][to.fields.find { |each| each.column == field.refers }.key]
        end
      end
      [table.name, rows]
    end
  end

  def told(value)
    case value
    when Integer, BigDecimal then BigDecimal(value)
    when Date then value.iso8601
    when Time then value.in_time_zone("Europe/Dublin").strftime("%Y-%m-%d %H:%M:%S")
    else value
    end
  end

  random = Random.new(RSpec.configuration.seed)
  foreign = ForeignDatabase.new(random)
  foreign.ways.each do |way, write|
    it "comes in whole as #{way}, and goes as one" do
      path = write.call(@folder)
      before = workspace.project
      found, proposed = looked(brought(path))
      expect(proposed.map(&:name)).to match_array(foreign.rows.keys)
      expect(proposed.map(&:problem)).to all(be_nil)
      expect(proposed.flat_map(&:fields).count(&:refers)).to eq((way == "archive") ? 2 : 4)
      result = taken(brought(path), wishes(proposed))
      expect(result.tables.map { |table| table.report.refused.map(&:refusals) }).to all(be_empty)
      foreign.rows.each do |table, rows|
        expected = rows.map { |row| row.map { |cell| told(cell) } }
        found_there = as_it_was(proposed)[table].map { |row| row.map { |cell| told(cell) } }
        expect(found_there.sort_by(&:first)).to eq(expected.sort_by(&:first))
      end
      expect(UpTack::UseCases::History::UndoBatch.new(workspace).call(result.batch.id).left).to eq(0)
      expect(proposed.flat_map { |table| records(table.key) }).to be_empty
      design.undo
      expect(workspace.project.attributes.except("last_id")).to eq(before.attributes.except("last_id"))
      expect(found.kind).to eq(way.start_with?("SQL") ? "dump" : way)
    end
  end
end
