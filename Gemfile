# frozen_string_literal: true

source "https://rubygems.org"

ruby ">= 3.1"

gem "zeitwerk", "~> 2.6"
gem "bigdecimal"
# Says at which line and column a text stops being JSON; refuses a name that stands twice.
gem "json", "~> 3.1"
gem "json_schemer", "~> 2.5"
# What people are told, by key, with a form for one and one for many.
gem "i18n", "~> 1.14"

# store
gem "activerecord", "~> 7.2"
gem "sqlite3", "~> 2.8"
gem "tzinfo"
gem "tzinfo-data"
gem "csv"

# web
gem "sinatra", "~> 4.2"
gem "rack", "~> 3.2"
gem "puma", "~> 8.0"
gem "rack-attack", "~> 6.8"
# Holds requests to the OpenAPI document.
gem "openapi_first", "~> 1.4"
gem "bcrypt", "~> 3.1"
# How easily a password is guessed: common ones, names, keys beside one another.
gem "zxcvbn-ruby", "~> 1.4", require: "zxcvbn"

# files in and out
gem "roo", "~> 3.0"
gem "caxlsx", "~> 4.5"
gem "rubyzip", "~> 3.2", require: "zip"
# Days and moments of a table as a calendar (RFC 5545).
gem "icalendar", "~> 2.10"

# The command line: what it takes, and what it says of itself.
gem "thor", "~> 1.3"

# running it
gem "rufus-scheduler", "~> 3.9"
gem "semantic_logger", "~> 4.16"
# Figures for whatever watches over the program, added up over all processes.
gem "prometheus-client", "~> 4.2"

group :test do
  gem "rspec", "~> 3.13"
  gem "rack-test", "~> 2.3"
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.19"
  gem "prism", "~> 1.9"
  gem "yard", "~> 0.9", require: false
end

# For bin/dev alone.
group :console, optional: true do
  gem "debug", "~> 1.10"
end

group :development do
  gem "rubocop", "~> 1.91"
  gem "standard", "~> 1.57"
end

group :benchmark do
  gem "benchmark-ips", "~> 2.14"
  gem "dentaku", "~> 3.5"
  gem "paper_trail", "~> 16.0"
end
