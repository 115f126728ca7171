# frozen_string_literal: true

require "strscan"

module UpTack
  module Core
    module Design
      module ProjectFile
        # Finds where a text stops being JSON (RFC 8259): the line, the column, and inside
        # what. Used only for a text that a parser has refused.
        class Syntax
          DEEPEST = 100
          STRING = /"(?:[^"\\\u0000-\u001f]|\\(?:["\\\/bfnrt]|u[0-9a-fA-F]{4}))*"/
          NUMBER = /-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?/
          # What is left of a text that was cut off.
          CUT = /\A(?:"(?:[^"\\\n]|\\.)*|t|tr|tru|f|fa|fal|fals|n|nu|nul|-)?\s*\z/m
          SPACE = /[ \t\r\n]*/

          # @param text [String]
          # @return [Core::Problem]
          def self.problem(text) = new(text).problem

          def initialize(text)
            @text = text
            @scanner = StringScanner.new(text)
            @way = []
          end

          # @return [Core::Problem]
          def problem
            catch(:fault) do
              value
              space
              fault("there is something after its end") unless @scanner.eos?
              return Problem.new(part: "file", message: "This is no JSON.")
            end
            @problem
          end

          private

          def value
            space
            fault("it is nested too deeply") if @way.length > DEEPEST
            if @scanner.skip(/\{/)
              object
            elsif @scanner.skip(/\[/)
              list
            elsif @scanner.skip(STRING) || @scanner.skip(NUMBER) || @scanner.skip(/true|false|null/)
              nil
            else
              fault(
                if @scanner.check(/"/)
                  "a text is not closed or has a sign that can't be in it"
                else
                  "a value is missing here"
                end
              )
            end
          end

          def object
            space
            return if @scanner.skip(/\}/)

            loop do
              space
              name = @scanner.scan(STRING) || fault("a name in quotes is missing here")
              @way << name[1...-1]
              space
              @scanner.skip(/:/) || fault("a colon is missing after the name")
              value
              @way.pop
              return if ended?(/\}/, "a comma or a closing brace is missing here")
            end
          end

          def list
            space
            return if @scanner.skip(/\]/)

            index = 0
            loop do
              @way << (index += 1).to_s
              value
              @way.pop
              return if ended?(/\]/, "a comma or a closing bracket is missing here")
            end
          end

          def ended?(closing, missing)
            space
            return true if @scanner.skip(closing)

            @scanner.skip(/,/) || fault(missing)
            false
          end

          def space = @scanner.skip(SPACE)

          def fault(what)
            before = @text.byteslice(0, @scanner.pos).to_s
            line = before.count("\n") + 1
            column = before.length - (before.rindex("\n") || -1)
            what = "the file ends here, in the middle" if @scanner.rest.match?(CUT)
            inside = @way.any? ? ", inside #{@way.join(" › ")}" : ""
            @problem =
              Problem.new(
                part: "file",
                message: "This is no complete JSON: #{what} (line #{line}, column #{column}#{inside}).",
                place: "line #{line}"
              )
            throw :fault
          end
        end
      end
    end
  end
end
