# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What a builder should know of rules, with cases that can be tried.
      module NoticeOfRules
        module_function

        # @param notices [Array<Core::Linting::RuleLinter::Notice>]
        # @param table [Core::Design::Table]
        # @param workspace [Workspace]
        def all(notices, table, workspace)
          real = UseCases::Effects::CaseToRecord.new(workspace, table)
          notices.map do |notice|
            {
              **notice.to_h,
              examples: notice.examples.map { |example| {words: example.words, values: real.find(example)} }
            }
          end
        end
      end
    end
  end
end
