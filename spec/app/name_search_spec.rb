# frozen_string_literal: true

require "store_helper"

RSpec.describe "The search for names" do
  def like(text) = UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(text).map(&:id)

  def rename(id, name) =
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: id, typed: {"name" => name})

  it "finds names that changed a moment ago, and those beside them" do
    expect([like("velt"), like("farrow 0163"), like("vel ans")]).to eq([[1, 6], [3], [1, 6]])
    rename(6, "Ansa Brandt")
    expect([like("velt"), like("brandt"), like("anſa Br")]).to eq([[1], [6], [6]])
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "members", id: 12)
    expect(like("sunniva")).to eq([])
  end

  it "forgets names that were looked up in a change that is undone" do
    like("x")
    UpTack::Store::Database.write do
      rename(3, "Nobody Yet")
      expect(like("nobody")).to eq([3])
      raise ActiveRecord::Rollback
    end
    expect([like("nobody"), like("wilmet")]).to eq([[], [3]])
    rename(4, "Isolde Marsh")
    expect([like("isolde m"), like("penhurrow").length]).to eq([[4], 1])
  end
end
