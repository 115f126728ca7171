# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Records whose name, or what stands beside it, has some words.
      class FindMatches
        LONGEST = 200

        # @param workspace [Workspace]
        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param text [String]
        # @return [Array<#to_h>]
        def call(table:, text:) =
          Store::NameSearch.new(@workspace.plan(table), @workspace.context).like(text[0, LONGEST])
      end
    end
  end
end
