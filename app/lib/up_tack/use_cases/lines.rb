# frozen_string_literal: true

module UpTack
  module UseCases
    # Records that link to another one and are typed beneath it in a form, as an
    # order's lines: answered and saved together with it.
    module Lines
      # Lines of one table beneath a record.
      # table:: key of their table; link:: key of the link to the record above
      # rows:: Rows that were typed, made or taken away; those left alone are not among them
      Group = Struct.new(:table, :link, :rows, keyword_init: true)
      # id, version:: of a line that exists, nil for a new one; typed:: raw input by field
      # gone:: whether it is taken away
      Row = Struct.new(:id, :version, :typed, :gone, keyword_init: true)

      # Lines beneath one record at most.
      MOST = 500
    end
  end
end
