# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The kinds of rule, by which the interface finds or makes their editors.
      module RuleKind
        module_function

        # @return [Array<Hash>]
        def all = (@all ||= {})[Core::Messages.language] ||= Core::Rules.all.values.map { |kind| render(kind) }

        def render(kind)
          {
            kind: kind.kind,
            label: kind.label,
            about: kind.about,
            stage: kind.stage,
            validates: kind.validation?,
            lenient: kind.lenient?,
            effect: kind.effect,
            guide: kind.guide,
            editor: kind.editor,
            begins: kind.begins,
            needs: kind.needs,
            parts: kind.parts.map { |part| self.part(part) }
          }
        end

        def part(part)
          {
            key: part.key,
            type: part.type,
            label: part.label,
            hint: part.hint,
            choices: part.said_choices.map { |key, label| {key: key, label: label} },
            only: part.only
          }
        end
      end
    end
  end
end
