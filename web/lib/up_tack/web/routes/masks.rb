# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Masks, clean-up steps and reading formats by themselves, while they are put together.
      module Masks
        def self.registered(app)
          app.get("/api/masks/ready-made") do
            json(Core::Masks::ReadyMade::ALL.map { |each| Render::Mask.line(each[:mask]).merge(name: each[:name]) })
          end

          # A mask from its text, from pieces or by example, and what it makes of a text.
          app.post("/api/masks") do
            parts = design_parts("mask", "pieces", "example", "text", "bare")
            odd =
              parts
                .slice("mask", "example", "text")
                .find { |_, value| value.is_a?(Array) || value.is_a?(Hash) }
                &.first
            Core::Invalid.because(Core::Messages["common.is_text"], part: odd) if odd
            json(Render::Mask.render(**parts.slice("mask", "pieces", "example", "text",
              "bare").transform_keys(&:to_sym)))
          end

          app.get("/api/tidying") { json(Render::Tidying.steps) }

          app.post("/api/tidying") { json(Render::Tidying.render(design_parts("steps")["steps"], sent["text"])) }

          app.post("/api/formats") do
            parts = design_parts("type", "format", "decimals")
            json(Render::Format.render(parts, workspace))
          end
        end
      end
    end
  end
end
