# frozen_string_literal: true

# A script reads all records of a table, page by page: by number, by name (a text) and by a linked record's name,
# while nobody writes and while somebody saves a record between any two pages.

require "rack/mock"
require_relative "support/studio"
require_relative "support/million"

COUNT = Integer(ENV.fetch("RECORDS", "100000"))
PAGE = 500

def sign_in
  _session, token = UpTack::Store::Session.begin(UpTack::Store::Person.first)
  "#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}"
end

def page(query, cookie)
  answer =
    Rack::MockRequest.new(UpTack::Web::Application).get(
      "/api/tables/pieces/records?limit=#{PAGE}&#{query}", "HTTP_COOKIE" => cookie, "HTTP_HOST" => "localhost"
    )
  abort(answer.body) unless answer.status == 200
  JSON.parse(answer.body)
end

# What a save does to whatever was remembered of the list.
def save(workspace, id)
  answer = UpTack::UseCases::Records::SaveRecord.new(workspace).call(
    table: "pieces", id: id, typed: {"note" => "Seen #{rand}"}, version: nil
  )
  abort(answer.inspect) unless answer.state == :saved
end

def read_all(sort, cookie, writing)
  read, cursor = [], nil
  loop do
    found = page("sort=#{sort}#{"&cursor=#{cursor}" if cursor}", cookie)
    read.concat(found["records"].map { |record| record["id"] })
    cursor = found["following"] or break
    save(*writing) if writing
  end
  abort("#{read.uniq.length} of #{COUNT} were read by #{sort}") unless read.uniq.length == COUNT
end

Dir.mktmpdir do |folder|
  open_studio(folder, "cursors.sqlite3")
  puts format("%d records written in %.1f s", COUNT, seconds { fill_pieces(COUNT) })
  cookie = sign_in
  writing = [UpTack::Workspace.new(person: UpTack::Store::Person.first), COUNT / 2]
  %w[id tag -tag maker piece,-received].each do |sort|
    quiet = seconds { read_all(sort, cookie, nil) }
    busy = seconds { read_all(sort, cookie, writing) }
    puts format("by %-16s %6.1f s   with a save after each page %6.1f s", sort, quiet, busy)
  end
end
