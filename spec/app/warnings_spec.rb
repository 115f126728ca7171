# frozen_string_literal: true

require "store_helper"

RSpec.describe "Warnings" do
  it "keep in the log why one was accepted" do
    refused = save_piece(good_piece.merge("clay_weight" => "5100", "wet_weight" => "5155"))
    warning = refused.outcome.refusals.first
    expect(warning).to have_attributes(passable: true, message: "More than 5 kg of clay in one piece? It says 5,100.")
    saved =
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(
        table: "pieces",
        typed: good_piece.merge("clay_weight" => "5100", "wet_weight" => "5155"),
        reasons: {warning.rule => "A commission."}
      )
    expect(saved.state).to eq(:saved)
    expect(JSON.parse(UpTack::Store::Entry.last.passed)).to match(
      [hash_including("reason" => "A commission.", "rule" => warning.rule)]
    )
  end
end
