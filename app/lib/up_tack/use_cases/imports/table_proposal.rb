# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The table that one part of a file could make: fields after what is declared of its columns and what their
      # values show.
      class TableProposal
        # @param part [Interchange::Collection::Part]
        # @param upload [Uploads::Upload] of which it is a part, and which keeps what was seen
        # @param number [Integer] of the part
        # @param taken [Array<Array(String, String)>] keys and labels of tables that there are
        # @param names [KnownNames]
        def initialize(workspace, part, upload, number, taken:, names:)
          @workspace = workspace
          @part = part
          @upload = upload
          @number = number
          @taken = taken
          @names = names
          @declared = part.declared
        end

        # @return [Collections::Proposed]
        def call
          label = NewTable.label(@part.label || readable(@part.name), @taken.map(&:last))
          proposed = Collections::Proposed.new(
            number: @number, name: @part.name, label: label, fields: [], rules: [], notes: @part.notes.dup, rows: 0,
            key: Core::Design::Names.key_for(@part.name, taken: @taken.map(&:first), fallback: "table")
          )
          look(proposed)
          proposed
        rescue Interchange::Unreadable => e
          proposed.problem = e.message
          proposed
        end

        private

        def look(proposed)
          seen = LookAtRows.new(@workspace.project.conventions).call(@part.source, whole: true)
          @upload.keep(seen, @number)
          found = FileAnalysis.new(@workspace).call(@part.source, nil, seen: seen)
          proposed.rows = @part.rows || found.rows
          proposed.notes.concat(found.notes) unless @declared
          guessed = NewTable.propose(found.profiles, @names)
          keys = []
          found.profiles.zip(guessed).each do |profile, guess|
            next unless guess

            proposed.fields << field(profile, guess, keys)
            keys << proposed.fields.last.key
          end
        end

        def field(profile, guess, keys)
          said = @part.declared_as(profile.name)
          label = (@declared && @part.label.nil?) ? NewTable.label(readable(guess.label), labels) : guess.label
          labels << label
          type, choices = said ? declared_type(said, profile, guess) : [guess.type, guess.choices]
          Collections::Field.new(
            column: profile.name, label: label, type: type, choices: choices, values: guess.values,
            samples: profile.samples,
            key: Core::Design::Names.key_for(guess.label, taken: keys), plain: (type == "link") ? "text" : type,
            format: (guess.format if type == "number"), target: guess.target&.key,
            rules: said ? declared_rules(said, guess, type) : guess.rules
          )
        end

        def labels = @labels ||= []

        # What the values show goes before what is declared, where those are not texts that only look so.
        def declared_type(said, profile, guess)
          choices = NewTable.choices([*said.choices, *profile.distinct&.keys]) if said.choices&.any?
          return ["choice", choices] if choices
          return [said.type || "text", nil] if profile.filled.zero?
          return [guess.type, guess.choices] if guess.type == "link"

          kind = profile.kind_of_all
          return [said.type, nil] if said.type == kind || (said.type == "moment" && kind == "date")
          return [guess.type, guess.choices] if !said.text || %w[date moment time].include?(kind)

          # Of a declared text few values tell nothing of what else it may have.
          [(guess.type == "long_text") ? "long_text" : "text", nil]
        end

        # What is declared is a rule, what is only so far so is offered.
        def declared_rules(said, guess, type)
          rules = [
            (suggestion({"kind" => "required"}, "always filled", general: true) if said.required),
            (suggestion({"kind" => "unique"}, "unique", general: true) if said.unique),
            (length(said.longest) if said.longest && type == "text"),
            default(said.default, type)
          ].compact
          others = guess.rules.reject { |each| rules.any? { |rule| rule.parts["kind"] == each.parts["kind"] } }
          rules + others.each { |each| each.doubtful = true }
        end

        def length(most) = suggestion({"kind" => "length", "most" => most}, "at most #{most} characters")

        def suggestion(parts, words, **more) = NewTable::Suggestion.new(parts: parts, words: words, **more)

        def default(said, type)
          return if said.nil?

          if said.formula
            return unless {"today()" => "date", "now()" => "moment"}[said.formula] == type

            return suggestion({"kind" => "default", "formula" => said.formula}, "starts as #{said.formula}")
          end
          value = plain_default(said.value, type)
          return if value.nil?

          suggestion({"kind" => "default", "value" => value}, "starts as #{Interchange::Profile.text(value)}")
        end

        def plain_default(value, type)
          text = value.is_a?(Interchange::Sql::Number) ? Core::Numbers.digits(BigDecimal(value.text)) : value
          case type
          when "yes_no" then {"0" => false, "1" => true, "f" => false, "t" => true}.fetch(text, text)
          when "number" then text.to_s[/\A-?\d+(?:\.\d+)?\z/]
          else (text.is_a?(String) && !text.empty?) ? text : nil
          end
        end

        # order_lines is called Order lines.
        def readable(name)
          return name if @declared.nil?

          plain = name.gsub(/[_\s]+/, " ").gsub(/(?<=\p{Ll})(?=\p{Lu})/, " ").strip
          plain = plain.downcase if plain == plain.upcase || name.match?(/\p{Ll}\p{Lu}/)
          plain.sub(/\A\p{L}/, &:upcase)
        end
      end
    end
  end
end
