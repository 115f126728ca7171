# frozen_string_literal: true

module UpTack
  module Interchange
    # What rules are in other languages: constraints of a schema, checks and defaults of SQL.
    module SchemaExport
    end
  end
end
