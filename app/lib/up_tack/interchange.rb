# frozen_string_literal: true

require "bigdecimal"
require "csv"
require "json"
require "stringio"
require "zip"

module UpTack
  # Records in open formats, in and out. What comes in is read row by row, so that a
  # file of any size takes no more memory than a few of its rows.
  module Interchange
    # Formats that are read, by the ending of their files.
    READ = {
      "csv" => "csv",
      "txt" => "csv",
      "tsv" => "csv",
      "xlsx" => "xlsx",
      "ods" => "ods",
      "json" => "json",
      "jsonl" => "jsonl",
      "ndjson" => "jsonl"
    }.freeze

    # A file that can't be read, or not from some place on.
    class Unreadable < StandardError; end
  end
end
