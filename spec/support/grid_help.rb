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

  def cell(row, field) = find("[role=row][data-index='#{row}'] [role=gridcell][data-writes$='.#{field}']")
  def hands = Typist.new(page.driver.browser.page, words: nil)
end
