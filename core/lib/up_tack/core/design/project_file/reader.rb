# frozen_string_literal: true

require "json"
require "tzinfo"

module UpTack
  module Core
    module Design
      module ProjectFile
        # Reads a project file as a whole, or says everything that is wrong with it and where.
        class Reader
          # Levels of objects and lists, one in another.
          DEEPEST = 100

          # @param text [String]
          def initialize(text)
            @text = text
          end

          # @return [Content]
          # @raise [Core::Invalid]
          def content
            attributes = parsed
            shape = SchemaValidator.new(attributes)
            problems = shape.problems
            whole = problems.empty? ? attributes : shape.without_faults
            problems += zone_problems(attributes)
            problems += of_content(whole) if whole && problems.none? { |problem| problem.part == "time_zone" }
            raise Invalid, problems.uniq(&:message) if problems.any?

            Content.new(
              design: attributes.except("format", "version", "people", "$schema"),
              people: attributes["people"] || [],
              version: attributes["version"]
            )
          end

          private

          # @return [Array<Core::Problem>] what is wrong in a file of the right shape
          def of_content(attributes)
            names = Names.new(attributes)
            problems = names.problems + Reviews.number(attributes)
            return problems unless names.only_unknown? && problems.length == names.problems.length

            problems + design_problems(names.without_unknown)
          end

          def zone_problems(attributes)
            zone = attributes["conventions"].is_a?(Hash) && attributes["conventions"]["time_zone"]
            return [] if !zone.is_a?(String) || TZInfo::Timezone.all_identifiers.include?(zone)

            [
              Problem.new(
                part: "time_zone",
                message: "conventions › time_zone: there is no time zone with that name.",
                place: "conventions › time_zone"
              )
            ]
          end

          def parsed
            text = @text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\u{FEFF}")
            Invalid.because(Messages["design.reader.file_is_not_valid_utf_8"], part: "file") unless text.valid_encoding?
            if text.length > LONGEST
              Invalid.because(
                Messages["design.reader.file_is_longer_than_million_characters", most: LONGEST / 1_000_000],
                part: "file"
              )
            end

            attributes = JSON.parse(text, max_nesting: DEEPEST)
            Invalid.because(Messages["design.reader.holds_no_object"], part: "file") unless attributes.is_a?(Hash)
            unless attributes["format"] == FORMAT
              Invalid.because(
                Messages[
                  "design.reader.another_format",
                  actual: attributes["format"].is_a?(String) ? "“#{attributes["format"][0, 40]}”" : "not named",
                  expected: FORMAT
                ],
                part: "format"
              )
            end

            version(attributes["version"])
            attributes
          rescue JSON::NestingError
            Invalid.because(Messages["design.reader.nested_too_deeply"], part: "file")
          rescue JSON::ParserError => e
            what = e.message.sub(/ at line \d+ column \d+\z/, "").sub(/, got: .*|: [^:]*\n.*\z/m, "")
            raise Invalid, [
              Problem.new(
                part: "file",
                message: Messages["design.reader.is_no_complete_json", thing: what, line: e.line, column: e.column],
                place: "line #{e.line}"
              )
            ]
          end

          def version(number)
            unless number.is_a?(Integer) && number.positive?
              Invalid.because(Messages["design.reader.project_file_says_its_version_as_whole"], part: "version")
            end
            return if number <= VERSION

            Invalid.because(
              Messages["design.reader.file_is_of_version", number: number, newest: VERSION],
              part: "version"
            )
          end

          # What only shows when the design is put together: formulas, circles, forms, proofs.
          def design_problems(attributes)
            Project.reopen(
              attributes.except("format", "version", "people"),
              tolerating: ProjectFile.tolerating(attributes["version"])
            )
            []
          rescue Invalid => e
            e.problems.map do |problem|
              problem.place ? problem : Problem.new(**problem.to_h, place: place(attributes, problem))
            end
          end

          def place(attributes, problem)
            attributes["tables"].each do |table|
              rule = problem.rule && table["rules"].to_a.find { |each| each["id"] == problem.rule }
              return ["tables", table["key"], "rules", rule["id"], problem.part].compact.join(" › ") if rule
            end
            problem.part
          end
        end
      end
    end
  end
end
