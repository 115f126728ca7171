# frozen_string_literal: true

require "browser_helper"
require "support/typist"
require "support/slow_server"

# A clerk who looks at the paper and not at the screen: keys come by their own schedule, on a fast and on
# a slow line, and each must come out in the record that it was meant for.
RSpec.describe "Fast hands" do
  # Records typed at each speed and slowness; RECORDS=300 for a long run.
  count = Integer(ENV.fetch("RECORDS", "4"))
  random = Random.new(RSpec.configuration.seed)

  before do
    change(:AddTable, label: "Slips", one: "Slip")
    {
      "Code" => "text",
      "Weight" => "number",
      "Day" => "date",
      "Hour" => "time",
      "Moment" => "moment",
      "Fired" => "yes_no",
      "Glaze" => "choice",
      "Maker" => "link",
      "Note" => "long_text",
      "Last" => "text"
    }.each do |label, type|
      more = {
        "choice" => {"choices" => %w[Celadon Shino Tenmoku]},
        "link" => {"target" => "members"},
        "number" => {"decimals" => 1}
      }.fetch(type, {})
      change(:AddField, table: "slips", parts: {"label" => label, "type" => type, **more})
    end
    change(:PinRule, table: "slips", rule: {"kind" => "mask", "field" => "code", "mask" => '2UPPER "-" 3DIGIT'})
    # What stands there already is typed over.
    change(:PinRule, table: "slips", rule: {"kind" => "default", "field" => "moment", "formula" => "now()"})
  end

  after { SlowServer.reset }

  def slips = UpTack::Store::RecordTable.new(workspace.table("slips"))

  # What is typed in each field of a record, and what must stand in it then.
  slip =
    lambda do |number|
      name =
        [
          %w[Alder Birch Cedar Fern Gorse].sample(random: random),
          %w[jug bowl plate tile].sample(random: random),
          number
        ].join(" ")
      weight = (random.rand(1..900) / 10.0).round(1)
      day = Date.new(2026, random.rand(1..12), random.rand(1..28))
      code = format("%s%03d", %w[kd rb gt].sample(random: random), random.rand(0..999))
      glaze = %w[Celadon Shino Tenmoku].sample(random: random)
      maker = ["Teodor Quill", "Isolde Penhurrow"].sample(random: random)
      typed = {
        "name" => name,
        "code" => code,
        "weight" => weight.to_s,
        "day" => day.strftime("%d.%m.%y"),
        "hour" => format("%02d:15", random.rand(8..18)),
        "moment" => "24.12.26 10:30",
        "fired" => %w[y n].sample(random: random),
        "glaze" => glaze[0, 2].downcase,
        "maker" => maker,
        "note" => "Line #{number} of the slip, typed fast.",
        "last" => "#{number} end"
      }
      kept = {
        "name" => name,
        "code" => "#{code[0, 2].upcase}-#{code[2..]}",
        "weight" => BigDecimal(weight.to_s),
        "day" => day,
        "hour" => Core::DayTime.read(typed["hour"]),
        "moment" => Time.utc(2026, 12, 24, 10, 30),
        "fired" => typed["fired"] == "y",
        "glaze" => glaze,
        "maker" => maker,
        "note" => typed["note"],
        "last" => typed["last"]
      }
      [typed, kept]
    end

  astray =
    lambda do |id, kept, found|
      found =
        found.merge(
          "maker" =>
            found["maker"] && UpTack::Store::RecordTable.new(workspace.table("members")).find(found["maker"])["name"]
        )
      kept.filter_map do |field, value|
        "record #{id}: #{field} is #{found[field].inspect}, typed was #{value.inspect}" unless found[field] == value
      end
    end

  [[nil, 0], [nil, 0.4], [nil, 1.5], [120, 0.1], [90, 0], [60, 0.4]].each do |words, delay|
    it "put every letter where it " \
         "belongs, #{words ? "#{words} words a minute" : "without any pause"}, " \
         "answers #{(delay * 1000).to_i} ms late" do
      # Long waits and slow hands take their time, so fewer records are typed so.
      share = {[nil, 0] => 1, [nil, 1.5] => 8, [60, 0.4] => 8}.fetch([words, delay], 4)
      records = [count / share, 1].max
      visit "/t/slips/forms?form=all"
      expect(page).to have_field("Moment", with: /\d/)
      SlowServer.delay = delay
      typist = Typist.new(page.driver.browser.page, words: words, random: random)
      kept =
        Array.new(records) do |number|
          typed, kept = slip.call(number)
          typed.each do |field, text|
            # Now and then a slip that is mended, and a step back to look again.
            # Or the last two letters the wrong way round, put right with the arrows.
            if %w[name note last].include?(field) && random.rand < 0.4
              typist.press(text[0...-2] + text[-1], :left, text[-2], %i[end right].sample(random: random))
            else
              typist.press(text, *(["q", :backspace] if %w[name note last].include?(field) && random.rand < 0.4))
            end
            typist.press(:tab, %i[shift tab]) if field == "day" && random.rand < 0.4
            typist.press(:tab) unless field == "last"
          end
          typist.press(%i[control enter])
          # In a long run hands stop until the page has heard them; what it does with that is not waited for.
          typist.rest if number % 10 == 9
          kept
        end
      typist.rest
      page
        .document
        .synchronize(60 + (records * (2 + (delay * 20)))) do
          raise Capybara::ExpectationNotMet, "#{slips.count} of #{records} saved" unless slips.count == records
        end
      expect(page).to have_no_css("[data-waiting]")
      wrong =
        kept.each_with_index.flat_map { |each, index| instance_exec(index + 1, each, slips.find(index + 1), &astray) }
      puts "\n#{records} records, #{typist.count} keys, #{wrong.length} values astray"
      expect(wrong).to eq([])
    end
  end

  [[nil, 0], [nil, 0.4], [90, 0.1]].each do |words, delay|
    it "puts every value into its " \
         "line, #{words ? "#{words} words a minute" : "without any pause"}, " \
         "answers #{(delay * 1000).to_i} ms late" do
      orders = [count / 2, 1].max
      before = UpTack::Store::RecordTable.new(workspace.table("orders")).count
      visit "/t/orders/forms"
      expect(page).to have_css("[data-line-add]").and have_field("Placed", with: /\d/)
      find_field("Member").native.node.focus
      SlowServer.delay = delay
      typist = Typist.new(page.driver.browser.page, words: words, random: random)
      kept =
        Array.new(orders) do |number|
          lines =
            Array.new(random.rand(1..3)) do |place|
              ["Thing #{place} of #{number}", random.rand(2..9), random.rand(100..999) / 100.0]
            end
          typist.press("Teodor Quill", :tab, "Order #{number}", :tab)
          lines.each_with_index do |(what, quantity, price), place|
            typist.press(what, :tab, quantity.to_s, :tab, format("%.2f", price))
            typist.press(:enter) unless place == lines.length - 1
          end
          typist.press(%i[control enter])
          [
            "Order #{number}",
            lines.map { |what, quantity, price| [what, BigDecimal(quantity), BigDecimal(price.to_s)] }
          ]
        end
      typist.rest
      rows = UpTack::Store::RecordTable.new(workspace.table("orders"))
      page
        .document
        .synchronize(60 + (orders * delay * 40)) do
          unless rows.count == before + orders
            raise Capybara::ExpectationNotMet, "#{rows.count - before} of #{orders} saved"
          end
        end
      lines =
        UpTack::Store::RecordTable
          .model("order_lines")
          .where("\"order\" IN (SELECT id FROM orders ORDER BY id DESC LIMIT #{orders})")
          .order(:id)
          .group_by(&:order)
      found =
        lines.sort.map do |id, all|
          [
            rows.find(id)["what"],
            all.map do |line|
              UpTack::Store::RecordTable
                .new(workspace.table("order_lines"))
                .find(line.id)
                .values_at("what", "quantity", "price")
            end
          ]
        end
      puts "\n#{orders} orders, #{typist.count} " \
             "keys, #{kept.zip(found).count { |one, other| one != other }} orders astray"
      expect(found).to eq(kept)
    end
  end

  [[nil, 0], [nil, 0.4], [90, 0.1]].each do |words, delay|
    it "makes a record of each row typed into the empty one of the " \
         "grid, #{words ? "#{words} words a minute" : "without any pause"}, " \
         "answers #{(delay * 1000).to_i} ms late" do
      visit "/t/slips/records"
      expect(page).to have_css("[role=row][data-index='0']")
      find("[role=grid]").native.node.focus
      SlowServer.delay = delay
      typist = Typist.new(page.driver.browser.page, words: words, random: random)
      rows = [count / 2, 1].max
      kept =
        Array.new(rows) do |number|
          typed, kept = slip.call(number)
          typed.each { |field, text| typist.press(text, *((field == "last") ? [] : [:tab])) }
          typist.press(:enter)
          kept
        end
      typist.rest
      page
        .document
        .synchronize(60 + (rows * delay * 12)) do
          raise Capybara::ExpectationNotMet, "#{slips.count} of #{rows} saved" unless slips.count == rows
        end
      wrong =
        kept.each_with_index.flat_map { |each, index| instance_exec(index + 1, each, slips.find(index + 1), &astray) }
      puts "\n#{rows} new rows, #{typist.count} keys, #{wrong.length} values astray"
      expect(wrong).to eq([])
    end
  end

  [[nil, 0], [nil, 0.4], [75, 0.1]].each do |words, delay|
    it "put every value into its cell of the " \
         "grid, #{words ? "#{words} words a minute" : "without any pause"}, " \
         "answers #{(delay * 1000).to_i} ms late" do
      rows = Array.new(4) { |number| slip.call(number).last }
      rows.each_index do |index|
        UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "slips", typed: {"name" => "Slip #{index}"})
      end
      visit "/t/slips/records"
      expect(page).to have_css("[role=row][data-index='3']", text: "Slip 3")
      SlowServer.delay = delay
      typist = Typist.new(page.driver.browser.page, words: words, random: random)
      {
        "glaze" => :to_s,
        "maker" => :to_s,
        "weight" => ->(value) { value.to_s("F") },
        "fired" => ->(value) { value ? "yes" : "no" }
      }.each do |field, told|
        find("[role=row][data-index='0'] [role=gridcell][data-writes$='.#{field}']").click
        rows.each { |kept| typist.press(told.to_proc.call(kept[field]), :enter) }
        typist.rest
        page
          .document
          .synchronize(60) do
            raise Capybara::ExpectationNotMet, "#{field} is not typed" if slips.find(rows.length)[field].nil?
          end
        expect(page).to have_no_css("[data-waiting]")
      end
      wrong =
        rows.each_with_index.flat_map do |kept, index|
          instance_exec(index + 1, kept.slice("glaze", "maker", "weight", "fired"), slips.find(index + 1), &astray)
        end
      puts "\n#{rows.length} rows, #{typist.count} keys, #{wrong.length} values astray"
      expect(wrong).to eq([])
    end
  end
end
