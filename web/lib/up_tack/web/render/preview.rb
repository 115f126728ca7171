# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What a rule would do.
      module Preview
        module_function

        # @param preview [Effects::PreviewRule::Preview]
        # @param table [Core::Design::Table]
        # @param workspace [Workspace]
        def render(preview, table, workspace)
          {
            problems: preview.problems.map { |each| Mistake.render(each) },
            warnings: preview.warnings.map { |each| Mistake.render(each) },
            notices: NoticeOfRules.all(preview.notices, table, workspace),
            tack: preview.tack,
            sentence: preview.sentence,
            cases: Cases.of(preview.cases, table),
            opening: preview.opening,
            fleeting: preview.fleeting,
            pieces: preview.pieces,
            looked: preview.looked,
            counts: preview.counts,
            looked_at: preview.looked_at,
            total: preview.total,
            examples: preview.examples
          }
        end
      end
    end
  end
end
