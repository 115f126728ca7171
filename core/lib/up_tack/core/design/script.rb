# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What somebody does on the bench: with which form, as whom, when, from which
      # record on, and act by act. Plain data, as a project file has it:
      #
      #   {"form" => "m181", "person" => {"name" => "Bram Tolley", "role" => "clerk"},
      #    "at" => "2026-11-23T09:30", "start" => {"from" => "new"},
      #    "records" => {"members" => {"1" => {"name" => "Ansa Velt"}}},
      #    "acts" => [{"do" => "type", "field" => "maker", "value" => 1}, {"do" => "save"}]}
      #
      # start:: {"from" => "new"}, or "copy" or "real" with the number of a "record"
      # records:: the little data set of a proof: plain values by table and number
      # acts:: in their order, each one of ACTS
      Script =
        Struct.new(:form, :person, :at, :start, :records, :acts, keyword_init: true) do
          # @param attributes [Hash{String=>Object}]
          def self.from(attributes)
            new(
              form: attributes["form"],
              person: attributes["person"] || {},
              at: attributes["at"],
              start: attributes["start"] || {"from" => "new"},
              records: attributes["records"] || {},
              acts: attributes["acts"] || []
            ).freeze
          end

          # @return [Ports::Person]
          def actor = Design::Script.actor(person)

          # @param attributes [Hash{String=>String}]
          def self.actor(attributes) =
            Ports::Person.new(name: attributes["name"], email: attributes["email"], role: attributes["role"])

          # @param project [Design::Project]
          # @return [Hash{String=>Hash{Integer=>Hash}}] the data set as values; what does not
          #   belong to the project any more is left out
          def values(project)
            records.each_with_object({}) do |(key, all), found|
              table = project.table(key) or next
              found[key] = all.to_h { |id, attributes| [Integer(id), Design::Script.loaded(table, attributes)] }
            end
          end

          def self.loaded(table, attributes)
            table.fields.to_h do |field|
              [field.key, attributes[field.key].nil? ? nil : Design::Script.value(field, attributes[field.key])]
            end
          end

          # @raise [ArgumentError, TypeError] for what is no value of the field
          def self.value(field, stored)
            field.values.scripted(stored, field)
          end
        end

      class Script
        # The acts of a script.
        #
        # type::     one "field" gets a "value", and is left: the form answers live
        # fill_in::  several fields get their "values" at once, as from a program
        # lines::    the "rows" typed beneath it, records of a "table" that link here by "link"
        # pass::     the warning of a "rule" is passed with a "reason"
        # save::     the record is saved, or refused
        # new::      another record is begun, as "save and next" does
        # copy::     a copy of the record at hand is begun
        # delete::   the record at hand is deleted
        # put_back:: the record that was deleted comes back
        # wait::     the form is left open for some "days" and "hours"
        # as::       another "person" goes on
        ACTS = %w[type fill_in lines pass save new copy delete put_back wait as].freeze
        # Acts after which nothing is left to be saved.
        FINAL = %w[save delete put_back].freeze
        MOST_ACTS = 200
        MOST_RECORDS = 500
      end
    end
  end
end
