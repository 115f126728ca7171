# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Where in a view a text stands next, or a record: for going there among any number of records.
      class FindPlaces
        # place:: how many records come before it, nil where there is none; id:: its record;
        # fields:: keys of the fields in which the text stands; matching:: how many records have it;
        # number:: which of them this one is, from 1
        Found = Struct.new(:place, :id, :fields, :matching, :number, keyword_init: true)
        NONE = Found.new(place: nil, id: nil, fields: [], matching: 0, number: nil).freeze

        # @param table [String] key
        # @param view [Hash] filter, sort and search, as View takes them
        def initialize(workspace, table, **view)
          @workspace = workspace
          @table = table
          @view = view
        end

        # @param text [String]
        # @param from [Integer] the place at which to begin; after the last one it goes on with the first
        # @param back [Boolean] whether to go towards the first
        # @return [Found]
        # @raise [Core::Invalid, Services::NotAllowed, Store::NotFound]
        def text(text, from:, back: false)
          return NONE if text.strip.empty?

          sought = Services::View.new(@workspace, @table, **@view, within: text)
          matches = sought.selection.ids
          return NONE if matches.empty?

          place = nearest(matches, from, back)
          id = all[place]
          fields = sought.search(text).fields_of(Store::RecordTable.new(sought.table).find(id) || {})
          Found.new(place: place, id: id, fields: fields, matching: matches.length, number: matches.index(id) + 1)
        end

        # @return [Found] the place of one record
        def record(id)
          place = all.index(id)
          place ? Found.new(place: place, id: id, fields: [], matching: 1, number: 1) : NONE
        end

        private

        def all = @all ||= Services::View.new(@workspace, @table, **@view).selection.ids

        # Both lists are in the same order, so that the matches stand at rising places.
        def nearest(matches, from, back)
          wanted = matches.to_set
          last = all.length - 1
          order = back ? [[from, last].min.downto(0), last.downto(from + 1)] : [from..last, 0...[from, last + 1].min]
          order.each { |places| places.each { |place| return place if wanted.include?(all[place]) } }
        end
      end
    end
  end
end
