# frozen_string_literal: true

require "support/typist"

# Short ways to the grid for its specs.
module GridHelp
  # Opens it with the cursor in its first cell.
  def open_grid(path = "/t/pieces/records")
    visit path
    expect(page).to have_css("[role=row][data-index='0'] [role=gridcell]")
    find("[role=grid]").native.node.focus
  end

  # What a spreadsheet would put into the clipboard, pasted where the cursor is.
  def paste(text)
    page.execute_script(<<~JS, text)
      const data = new DataTransfer();
      data.setData("text/plain", arguments[0]);
      document.activeElement.dispatchEvent(new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}));
    JS
  end

  def cell(row, field) = find("[role=row][data-index='#{row}'] [role=gridcell][data-writes$='.#{field}']")
  def hands = Typist.new(page.driver.browser.page, words: nil)
end
