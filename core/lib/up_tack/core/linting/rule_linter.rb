# frozen_string_literal: true

module UpTack
  module Core
    module Linting
      # What a builder should know of the rules of a table: fields of which no rule
      # speaks in some case, or more than one; rules that can never hold; fields that
      # two rules write; rules that read what nothing fills; tables with gaps.
      class RuleLinter
        # code:: "gap", "overlap", "never", "two_writers", "unfed", "unreached" or "contradiction"
        # rules:: ids of the rules that it is about; field:: key of the field
        # message:: a sentence; examples:: Conditions::OverlapAnalysis::Examples of cases
        Notice = Struct.new(:code, :rules, :field, :message, :examples, keyword_init: true)

        # @param table [Design::Table] whose rules are sound
        def initialize(table)
          @table = table
          @known = KnownCases.new(table)
        end

        # @return [Array<Notice>]
        def all =
          @all ||=
            @table.fields.flat_map { |field| of_group(field) + of_chain(field) + two_writers(field) } + never +
            tables + unfed + resting

        # @return [Array<Notice>] those about a rule
        def about(rule) = all.select { |notice| notice.rules.include?(rule.id) }

        private

        def label(field) = field.label

        # Fill rules that set one field, at least one of them under a condition.
        def of_group(field)
          speakers =
            @table
              .rules
              .select(&:fills?)
              .select { |rule| rule.writes.include?(field.key) && rule.event != "made" }
              .map { |rule| Conditions::OverlapAnalysis::Clause.new(rule, rule.speaks_while(field.key)) }
          return [] if speakers.length < 2 || speakers.none?(&:condition)

          rules = speakers.map(&:rule)
          acting = rules.sort_by { |rule| order.index(rule) || 0 }
          @known.find(["group", field.key, rules.map(&:id)], acting, speakers.map(&:condition)) do
            found = Conditions::OverlapAnalysis.new(@table, speakers)
            words = Wording["No rule sets %{field}", field: label(field)]
            [notice("gap", rules.map(&:id), field, found.gaps, words), *overlaps(field, found)].compact
          end
        end

        def overlaps(field, found)
          found
            .overlaps
            .group_by(&:speaking)
            .map do |rules, examples|
              last = rules.max_by { |rule| order.index(rule) || 0 }
              notice(
                "overlap",
                rules.map(&:id),
                field,
                examples,
                last_word(rules.length, label(field), last.tack(@table))
              )
            end
        end

        def last_word(count, field, tack)
          if count == 2
            return Wording["Two rules set %{field}, and “%{tack}” has the last word", field: field, tack: tack]
          end

          others = {count: count, field: field, tack: tack}
          Wording["%{count} rules set %{field}, and “%{tack}” has the last word", **others]
        end

        # Branches of one formula that ends in blank.
        def of_chain(field)
          rule = @table.calculation(field.key) or return []
          branches, ending = chain(Expression.parse(rule.attributes["formula"]))
          return [] if branches.length < 2 || !(ending.is_a?(Expression::Nodes::Literal) && ending.value.nil?)

          @known.find(["chain", field.key], [rule], branches) do
            clauses = branches.map { |condition| Conditions::OverlapAnalysis::Clause.new(rule, condition) }
            found = Conditions::OverlapAnalysis.new(@table, clauses, in_order: true)
            [notice("gap", [rule.id], field, found.gaps, Wording["%{field} is blank", field: label(field)])].compact
          end
        end

        def chain(node, branches = [])
          return [branches, node] unless node.is_a?(Expression::Nodes::Conditional)

          chain(node.alternative, [*branches, node.condition])
        end

        def notice(code, rules, field, examples, words)
          return if examples.empty?

          Notice.new(
            code: code,
            rules: rules,
            field: field.key,
            message: "#{words} #{where(examples.first.words)}.",
            # They are remembered, and a rule knows its whole design.
            examples: examples.map { |example| example.dup.tap { |each| each.speaking = nil } }
          )
        end

        # @return [String] "where …", or that it is so always
        def where(words)
          words.empty? ? Wording["in any case"] : Wording["where %{list}", list: Masks::Phrases.to_sentence(words)]
        end

        # Fills under conditions are looked at as a group; others that write one field
        # are told with the order in which they act.
        def two_writers(field)
          writers = order.select { |rule| rule.writes.include?(field.key) && !rule.narrows? }
          if writers.length < 2 || writers.all?(&:field_state?) ||
              writers.all? { |rule| rule.fills? && rule.speaks_while(field.key) }
            return []
          end

          said = writers.map { |rule| "“#{rule.tack(@table)}”" }
          [
            Notice.new(
              code: "two_writers",
              rules: writers.map(&:id),
              field: field.key,
              message:
                Messages["linting.rule_linter.set_in_order", rules: Masks::Phrases.to_sentence(said),
                  label: label(field)],
              examples: []
            )
          ]
        end

        def order =
          @order ||=
            Analysis::TopologicalSort.of_rules(
              @table.rules.select { |rule| rule.stages.include?("fill") && rule.writes.any? },
              @table
            ).sorted

        def never
          @table.rules.flat_map do |rule|
            rule.conditions(@table).flat_map { |tree| @known.find(["never"], [rule], [tree]) { never_so(rule, tree) } }
          end
        end

        def never_so(rule, tree)
          clause = Conditions::OverlapAnalysis::Clause.new(rule, tree)
          return [] if Conditions::OverlapAnalysis.new(@table, [clause]).silent.empty?

          condition = Expression::Humanizer.new(@table.scope).humanize(tree)
          message = Messages["linting.rule_linter.it_can_never_be_so_rule_never", condition: condition]
          [Notice.new(code: "never", rules: [rule.id], field: rule.field, message: message, examples: [])]
        end

        def tables
          @table
            .rules
            .select(&:decides?)
            .flat_map do |rule|
              report = Decisions::CompletenessCheck.new(rule, @table, most_steps: 60_000).report
              heads = rule.columns(@table).map(&:label)
              said = ->(example) do
                heads.zip(example.words).filter_map { |head, words|
                  Wording["%{head} is %{words}", head: head, words: words] if words
                }
              end
              found = []
              if report.gaps.any? && said.call(report.gaps.first).any?
                found << [
                  "gap",
                  Messages[
                    "linting.rule_linter.no_row_of_fits_where",
                    rule: rule.title,
                    case: Masks::Phrases.to_sentence(said.call(report.gaps.first))
                  ]
                ]
              end
              if report.unreached.any?
                found << [
                  "unreached",
                  Messages[
                    "linting.rule_linter.row_of_never_decides",
                    row: report.unreached.first.first + 1,
                    rule: rule.title,
                    reason: report.unreached.first.last
                  ]
                ]
              end
              if report.contradictions.any?
                found << [
                  "contradiction",
                  Messages[
                    "linting.rule_linter.rows_and_of_contradict_each_other",
                    upper: report.contradictions.first[0] + 1,
                    lower: report.contradictions.first[1] + 1,
                    rule: rule.title,
                    where: where(said.call(report.contradictions.first[2]))
                  ]
                ]
              end
              found.map do |code, message|
                Notice.new(code: code, rules: [rule.id], field: rule.field, message: message, examples: [])
              end
            end
        end

        # Rules that an earlier version let be written, though they can't act or would be refused now.
        def resting
          @table.neighbours.tolerated.flat_map do |problem|
            ids = problem.stuck || [problem.rule].compact
            @table
              .rules
              .select { |rule| ids.include?(rule.id) }
              .map do |rule|
                key = problem.stuck ? "linting.rule_linter.rests" : "linting.rule_linter.could_not_be_written_today"
                Notice.new(
                  code: "never",
                  rules: [rule.id],
                  field: rule.field,
                  message: Messages[key, problem: problem.message],
                  examples: []
                )
              end
          end
        end

        # What no form has and no rule gives stays blank, as far as people type records.
        def unfed
          return [] if @table.forms.empty?

          placed = @table.forms.flat_map(&:field_keys)
          dry =
            @table.fields.reject do |field|
              placed.include?(field.key) ||
                @table.rules.any? do |rule|
                  rule.writes.include?(field.key) || (rule.owns? && rule.field == field.key)
                end
            end
          dry.flat_map do |field|
            readers = @table.rules.select { |rule| rule.reads(@table).include?(field.key) && rule.field != field.key }
            readers.map do |rule|
              Notice.new(
                code: "unfed",
                rules: [rule.id],
                field: field.key,
                message:
                  Messages["linting.rule_linter.reads_which_no_form", rule: rule.tack(@table), label: label(field)],
                examples: []
              )
            end
          end
        end
      end
    end
  end
end
