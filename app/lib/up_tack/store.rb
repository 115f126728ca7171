# frozen_string_literal: true

require "active_record"
require "bcrypt"
require "fileutils"
require "json"
require "digest"
require "securerandom"

module UpTack
  # What is kept: the builder's tables as real tables, the design's revisions,
  # people and the change log. One SQLite file holds all of it.
  module Store
    # Nothing under that key or number.
    class NotFound < StandardError; end

    # Models of the tables that Up Tack needs for itself.
    class SystemRecord < ActiveRecord::Base
      self.abstract_class = true
    end
  end
end
