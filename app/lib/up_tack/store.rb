# frozen_string_literal: true

require "active_record"
require "active_support/security_utils"
require "base64"
require "bcrypt"
require "fileutils"
require "json"
require "digest"
require "openssl"
require "English"
require "securerandom"
require "sqlite3"
require "zxcvbn"

# Moments keep the zone in which they were read.
ActiveSupport.to_time_preserves_timezone = true

module UpTack
  # What is kept: the builder's tables as real tables, the design's revisions,
  # people and the change log. One SQLite file holds all of it.
  module Store
    # Nothing under that key or number.
    class NotFound < StandardError; end

    # Models of the tables that Up Tack needs for itself.
    class SystemRecord < ActiveRecord::Base
      self.abstract_class = true

      # The one row of a value, found in a way that costs little: each request asks for some.
      # @param column [Symbol]
      # @return [SystemRecord, nil]
      def self.at_once(column, value)
        @at_once ||= "SELECT #{column_names.join(", ")} FROM #{table_name} WHERE"
        row = Statements.run("#{@at_once} #{column} = ?", value).first
        row && instantiate(column_names.zip(row).to_h)
      end
    end
  end
end
