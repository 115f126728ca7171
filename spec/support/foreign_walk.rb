# frozen_string_literal: true

# Reads a page in the made-up language, in which every letter of a message is another one: what is left in
# plain letters, and is no data, is in no catalogue.
module ForeignWalk
  # What is read as it is typed: formulas, keys, samples of input; the guide is in English alone.
  UNTRANSLATED = "code, kbd, script, style, .cm-editor, article.guide, nav[data-guide], [lang=en], [translate=no]"
  # Names of formats, of the product and of keys on a keyboard.
  NAMES = %w[
    up tack csv xlsx ods json lines sqlite sql utf api iso iana cldr ctrl esc enter tab del ins alt shift home end
  ].freeze

  LETTERS = [*"a".."z", *"A".."Z"].join.freeze
  GREEK = "αβχδεφγηιξκλμνοπθρστυϐωϗψζΑΒΧΔΕΦΓΗΙΞΚΛΜΝΟΠΘΡΣΤΥϴΩϏΨΖ"
  # Parts of a design that builders word themselves.
  WORDED = %w[label one note name message hint group reverse yes no blank title].freeze

  # Writes all words of the design that builders chose in Greek letters, so that no word of ours passes for theirs.
  def disguise
    last = UpTack::Store::Revision.last
    design = JSON.generate(in_greek(JSON.parse(last.design)))
    UpTack::Store::Revision.create!(
      last.attributes.except("id", "seal").merge("design" => design, "summary" => "", "made_at" => Time.now.utc)
    )
  end

  # What stands in the records, and texts that rules write into them.
  def vocabulary
    project = workspace.project
    stored = []
    project.tables.each { |table| UpTack::Store::RecordTable.new(table).each { |_, row| stored << row.to_h.values } }
    texts = [stored, project.tables.flat_map { |table| table.fields.flat_map(&:choices) }, project.lists.map(&:values)]
    literals = JSON.generate(project.attributes).scan(/\\"([^"\\]*)\\"/)
    dates = [*Date::ABBR_DAYNAMES, *Date::ABBR_MONTHNAMES, *Date::MONTHNAMES, *Date::DAYNAMES]
    people = UpTack::Store::Person.pluck(:name, :email, :sign_in)
    formulas = project.tables.flat_map { |table| table.filters.map(&:formula) }
    started = UpTack::Store::Revision.order(:id).first.summary
    sampled = %i[FIRST LAST PLAIN].map { |list| UpTack::Core::Bench::Samples::Words.const_get(list) }
    chosen = [texts, literals, people, formulas, started, project.conventions.time_zone]
    words = [chosen, sampled, dates, NAMES].flatten.compact.join(" ").downcase
    words.scan(/[a-z]+/).to_h { |word| [word, true] }
  end

  # @param known [Hash{String=>true}] words of the data
  # @param phrases [Array<String>] what the log calls fields, as they were called then; codes such as KD-017 are
  #   data, and formulas stand in backticks
  # @return [Array<String>] texts of the page with words that are in no catalogue
  def hard_wired(known, phrases = [])
    texts = page.evaluate_script(<<~JS)
      (() => {
        const skipped = (node) => node.closest(#{UNTRANSLATED.to_json});
        const shown = (node) => node.checkVisibility();
        const found = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (walker.nextNode()) {
          const parent = walker.currentNode.parentElement;
          if (parent && !skipped(parent) && shown(parent)) found.push(walker.currentNode.data);
        }
        for (const node of document.querySelectorAll("[title],[aria-label],[placeholder],[alt],[aria-description]"))
          if (!skipped(node) && shown(node))
            for (const name of ["title", "aria-label", "placeholder", "alt", "aria-description"])
              if (node.hasAttribute(name)) found.push(node.getAttribute(name));
        return found;
      })()
    JS
    longest_first = phrases.sort_by { |phrase| -phrase.length }.map { |phrase| Regexp.escape(phrase) }
    called = /\b(?:#{longest_first.join("|")})(?!\w)/
    own = texts.uniq.map { |text| text.gsub(/\b[A-Z]{2,4}-\d+|`[^`]*`/, "") }
    own = own.map { |text| text.gsub(called, "") } if phrases.any?
    own.select { |text| text.downcase.scan(/[a-z]{2,}/).any? { |word| !known.key?(word) } }
  end

  # @return [Array<String>] texts of buttons, headings and labels that do not fit into their box, or reach beyond
  #   the page. What may be long, and has its whole text in a title, is shortened on purpose.
  def cut_labels = page.evaluate_script(<<~JS)
    [...document.querySelectorAll("button, a.btn, input.btn, h1, h2, h3, label, legend, th, summary, [role=tab]")]
      .filter((node) => node.checkVisibility() && !node.closest(".sr-only, [data-index], .react-flow, .cm-editor"))
      .filter((node) => {
        const box = node.getBoundingClientRect();
        if (box.width < 2) return node.textContent.trim() !== "" && node.tagName.startsWith("H");
        const scrolls = node.closest(".overflow-auto, .overflow-x-auto, [role=grid]");
        if (!scrolls && box.right > document.documentElement.clientWidth + 1) return true;
        const inner = [node, ...node.querySelectorAll("*:not(select, option)")];
        return inner.filter((each) => each.checkVisibility()).some((each) => {
          const style = getComputedStyle(each);
          const hides = style.overflowX === "hidden" || style.overflowX === "clip";
          return hides && !each.classList.contains("sr-only") && each.scrollWidth > each.clientWidth + 1
            && !each.closest("[title]") && each.textContent.trim() !== "";
        });
      })
      .map((node) => (node.getAttribute("aria-label") || node.textContent).trim().slice(0, 80))
  JS

  private

  def in_greek(part, key = nil)
    case part
    when Hash then part.to_h { |name, value| [name, in_greek(value, name)] }
    when Array then part.map { |each| in_greek(each, key) }
    when String then worded?(key, part) ? part.tr(LETTERS, GREEK) : part
    else part
    end
  end

  # A title may be the key of a field as well.
  def worded?(key, text) = WORDED.include?(key) && !text.match?(/\A[a-z_]+\z/)
end
