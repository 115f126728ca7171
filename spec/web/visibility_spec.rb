# frozen_string_literal: true

require "web_helper"
require "zip"

# What a role may not see shows by no way: tables and fields are closed at random, their values are
# marked, and every operation is walked that the role may ask for.
RSpec.describe "What is hidden, over HTTP" do
  include WebHelp

  random = Random.new(RSpec.configuration.seed)
  mark = ->(number) { "zq#{number}secret" }
  people = {"clerk" => "Bram Tolley", "reader" => "Hale Orrin"}

  def rows(table) = UpTack::Store::RecordTable.model(table)

  # A workbook is a packed file.
  def unpacked(response)
    return response.body.dup.force_encoding("UTF-8").scrub unless response.body.start_with?("PK")

    Zip::File
      .open_buffer(StringIO.new(response.body))
      .select(&:file?)
      .map { |entry| entry.get_input_stream.read.force_encoding("UTF-8").scrub }
      .join
  end

  # Closes a table and some fields to a role, and what is calculated from them when it is read.
  def close(role, table, fields)
    change(:ChangeTable, table: table, parts: {"access" => {role => "nothing"}})
    hidden = fields.dup
    loop do
      visible = Core::Design::Visibility.new(workspace.project, role)
      hidden.each do |key, field|
        change(:ChangeField, table: key, field: field, parts: {"access" => {role => "nothing"}})
      end
      more =
        workspace.project.tables.flat_map do |design|
          visible = Core::Design::Visibility.new(workspace.project, role)
          design
            .fields
            .select do |field|
              visible.field?(field) && (rule = design.calculation(field.key)) &&
                !visible.references?(rule.references(design))
            end
            .map { |field| [design.key, field.key] }
        end
      break if (more - hidden).empty?

      hidden |= more
    end
    hidden
  end

  # Everything hidden gets values that are found again wherever they turn up.
  def fill_with_marks(role, mark)
    visible = Core::Design::Visibility.new(workspace.project, role)
    workspace.project.tables.each do |table|
      table.kept_fields.each do |field|
        next if visible.table?(table) && visible.field?(field)

        case field.type
        when "text", "long_text"
          rows(table.key).update_all("\"#{field.key}\" = '#{mark.call(1)} ' || id")
        when "number"
          rows(table.key).update_all("\"#{field.key}\" = 7310000 + id")
        end
      end
    end
  end

  # Within seals, which are hexadecimal, such figures come up by themselves.
  marks = /zq\d+secret|(?<!\h)7310\d{3}(?!\h)|7,310,\d{3}/
  define_method(:shows?) { |body| body.match?(marks) }

  people.each do |role, name|
    it "shows a #{role} nothing of it in any answer" do
      candidates =
        workspace.project.tables.flat_map do |table|
          table
            .fields
            .reject { |field| field == table.title_field || field.link? || table.rule_owned?(field.key) }
            .select { |field| %w[text long_text number].include?(field.type) }
            .map { |field| [table.key, field.key] }
        end
      closed = %w[clays members orders titles firings].sample(random: random)
      hidden = close(role, closed, candidates.sample(6, random: random).reject { |table, _| table == closed })
      hidden_labels = hidden.map { |table, key| workspace.table(table).field(key).label }
      fill_with_marks(role, mark)
      sign_in_as(name)
      leaks = []
      walked = 0
      look =
        lambda do |method, path, body = nil|
          ask(method, path, body)
          walked += 1
          text = unpacked(last_response)
          if shows?(text)
            leaks << "#{method} #{path} #{body}: #{text[/.{0,60}#{marks}.{0,40}/m]}"
          end
          [status, text]
        end
      escape = ->(text) { Rack::Utils.escape(text) }
      least = ->(operation) { UpTack::Web::Guard::Access.enough?(role, operation["x-least"]) }

      # All that is only looked at, with every table, some fields and the marks as what is sought.
      WebHelp::DOCUMENT["paths"].each do |template, item|
        next unless item["get"] && least.call(item["get"]) && !template.match?(/openapi/)

        tables = workspace.project.tables
        others = Thorough.some(tables.reject { |table| table.key == closed }, 2, random)
        (template.include?("{table}") ? [workspace.table(closed), *others] : tables.first(1)).each do |table|
          names = {
            "table" => table.key,
            "id" => "1",
            "field" => table.fields.first.key,
            "other" => workspace.project.tables.sample(random: random).key,
            "link" => table.fields.find(&:link?)&.key || "none",
            "job" => "none",
            "list" => "l102",
            "batch" => "1",
            "entry" => "1"
          }
          path = template.gsub(/\{(\w+)\}/) { names.fetch(Regexp.last_match(1), "1") }
          look.call(:get, path)
          asked = hidden.select { |key, _| key == table.key }.map(&:last) + table.fields.select(&:link?).map(&:key)
          asked = Thorough.some(asked, 1, random)
          asked.each do |key|
            questions = [
              "fields=#{key}",
              "sort=-#{key}",
              "filter=#{escape.call("#{key} is not blank")}",
              "field=#{key}&table=#{table.key}",
              "filter=#{escape.call("#{key[0..-2]}x > 1")}"
            ]
            Thorough.some(questions, 2, random).each { |query| look.call(:get, "#{path}?#{query}") }
          end
          Thorough
            .some(%w[search=zq1secret text=zq1secret text=7310001], 1, random)
            .each { |query| look.call(:get, "#{path}?#{query}") }
        end
      end
      # Links back, to and from what is closed.
      workspace.project.tables.each do |table|
        table
          .neighbours
          .links_to(table.key)
          .each do |other, field|
            look.call(:get, "/api/tables/#{table.key}/records/1/lines/#{other.key}/#{field.key}")
          end
        look.call(:get, "/api/history?table=#{table.key}")
      end
      if role == "clerk"
        workspace.project.tables.each do |table|
          at = "/api/tables/#{table.key}"
          look.call(:post, "#{at}/draft", {typed: {}})
          look.call(:post, "#{at}/draft", {typed: {}, id: 1})
          look.call(:get, "#{at}/records/1/deletion")
          table
            .fields
            .select(&:link?)
            .each do |field|
              ["", "zq1secret", "a"].each do |text|
                look.call(:post, "#{at}/fields/#{field.key}/candidates", {text: text, typed: {}})
              end
            end
          look.call(:post, "#{at}/bulk", {do: "copy", ids: [1, 2], keep: "none"})
          look.call(:post, "#{at}/bulk", {do: "delete", ids: [1, 2], keep: "none"})
          look.call(:delete, "#{at}/records/1")
          look.call(:post, "#{at}/records", {typed: {}})
          look.call(:post, "#{at}/formula", {formula: "#{table.fields.last.key[0..-2]}q + 1"})
          # A right guess is told as little as a wrong one.
          hidden
            .select { |key, _| key == table.key }
            .each do |_, key|
              stored = table.kept?(key) ? rows(table.key).where(id: 3).pick(Arel.sql("\"#{key}\"")) : 1
              [
                [:patch, "#{at}/records/3", ->(value) { {typed: {key => value}} }],
                [:post, "#{at}/draft", ->(value) { {id: 3, typed: {key => value}} }],
                [:post, "#{at}/batch", ->(value) { {records: [{id: 3, typed: {key => value}}]} }],
                [:post, "#{at}/bulk", ->(value) { {do: "change", keep: "none", ids: [3], typed: {key => value}} }]
              ].each do |method, path, body|
                right, wrong = [stored.to_s, "#{stored}9"].map { |value| look.call(method, path, body.call(value)) }
                leaks << "#{method} #{path} tells #{key} right from wrong" unless right == wrong
              end
            end
        end
      end
      # A field may be called as its table calls a record, or as a field is that may be seen.
      visible = Core::Design::Visibility.new(workspace.project, role)
      words =
        workspace.project.tables.select { |table| visible.table?(table) }
          .flat_map { |table| [table.label, table.one, *visible.fields(table).map(&:label)] }
      hidden_labels.uniq.each do |label|
        next if words.any? { |word| word.include?(label) }

        table = workspace.project.tables.find { |each| each.fields.any? { |field| field.label == label } }
        [
          ["/api/tables/#{table.key}", :get],
          ["/api/names", :get],
          ["/api/map", :get],
          ["/api/lists", :get]
        ].each do |path, method|
          leaks << "#{path} names #{label}" if look.call(method, path).last.include?(JSON.generate(label))
        end
      end
      if ENV["WHY"]
        puts "\n#{walked} answers to a #{role} looked at; " \
               "closed: #{closed}, #{hidden.map { |each| each.join(".") }.join(", ")}"
      end
      expect(leaks).to eq([])
    end
  end
end
