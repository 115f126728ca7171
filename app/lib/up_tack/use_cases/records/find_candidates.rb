# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # Records that a link of a draft can point to, by words of their names: those
      # that belong, where a rule narrows them.
      class FindCandidates
        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] in which the link is
        # @param field [String] key of the link
        # @param text [String] part of a name
        # @param typed [Hash] the draft so far
        # @param id [Integer, nil] the record that is edited
        # @return [Array<Store::NameSearch::Match>]
        # @raise [Store::NotFound, Core::Invalid]
        def call(table:, field:, text:, typed: {}, id: nil)
          link = @workspace.field(table, field)
          unless @workspace.visibility.field?(link)
            raise Store::NotFound,
              Core::Messages["common.there_is_no_field", unknown: field, table: @workspace.table(table).label]
          end
          Core::Invalid.because(Core::Messages["common.is_no_link", link: link.label], part: "field") unless link.link?

          naming = Store::NameSearch.new(@workspace.plan(link.target), @workspace.context)
          narrowing = @workspace.plan(table).narrowing(field) or return naming.like(text)
          evaluation =
            AnswerDraft.new(@workspace).call(table: table, typed: typed.except(field), id: id).outcome.evaluation
          naming.like(text) do |candidates|
            evaluation.context.records.load(link.target, candidates)
            candidates.select { |candidate| narrowing.belongs?(candidate, evaluation) }
          end
        end
      end
    end
  end
end
