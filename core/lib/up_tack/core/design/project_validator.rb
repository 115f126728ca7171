# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Finds everything in a project that keeps it from being used.
      class ProjectValidator
        MOST_FIELDS = 400
        MOST_DECIMALS = 10
        EVERY = %w[hour day week].freeze
        ON_DELETE = %w[refuse clear delete].freeze

        # @param project [Project]
        def initialize(project)
          @project = project
        end

        # @return [Array<Core::Problem>]
        def problems
          shape =
            @project.lists.flat_map { |list| of_list(list) } + doubles(@project.tables, "table") +
            of_aliases(@project.tables) + @project.tables.flat_map { |table| of_shape(table) }
          return shape if shape.any?

          # Each looks at what the one before found sound, or let be.
          found = [:of_rules, :of_forms, :of_proofs].reduce([]) do |known, look|
            known.all?(&:tolerable) ? known + @project.tables.flat_map { |table| send(look, table) } : known
          end
          found = found.uniq { |problem| problem.tolerable ? problem.signature : problem.message }
          found.all?(&:tolerable) ? found + circles : found
        end

        private

        # What can be seen without looking at a formula.
        def of_shape(table)
          found = of_name(table)
          if table.one && Names.label_problem(table.one)
            found << problem("one", "What one record is called is a short text.")
          end
          if table.fields.length > MOST_FIELDS
            found << problem("fields", "A table has at most #{MOST_FIELDS} fields.")
          end
          unless sound_title?(table)
            found << problem("title", "People can know a record by a field of this table that is no link.")
          end
          found.concat(of_review(table.review)) if table.review
          found.concat(of_log(table.log)) if table.log
          found.concat(of_title(table)) if table.access.nil? || table.access.is_a?(Hash)
          found.concat(
            [Access.problem(table.access, Access::TABLE)].compact.map { |message| problem("access", message) }
          )
          found + doubles(table.fields, "field") + of_aliases(table.fields) +
            table.fields.flat_map { |field| of_name(field) + of_field(field) }
        end

        def of_review(review)
          sound =
            review.is_a?(Hash) && EVERY.include?(review["every"]) && review["person"].is_a?(Integer) &&
            [nil, *1..7].include?(review["weekday"]) && [nil, *0..23].include?(review["hour"])
          if sound
            []
          else
            [
              problem(
                "review",
                "A check is made every hour, day or week, at an hour from 0 to 23, and tells one person."
              )
            ]
          end
        end

        def of_log(log)
          sound =
            log.is_a?(Hash) && log.length == 1 && %w[only all_but].include?(log.keys.first) &&
            log.values.first.is_a?(Array) && log.values.first.all?(String)
          sound ? [] : [problem("log", "The change log watches `only` some fields, or `all_but` some.")]
        end

        # @param named [Array<Field, Table>]
        def of_aliases(named)
          keys = named.flat_map { |each| [each.key, *each.aliases] }
          sound =
            named.all? { |each| each.aliases.is_a?(Array) && each.aliases.all? { |key| Names.key_problem(key).nil? } }
          return [problem("aliases", "An alias is a key of small letters, figures and underscores.")] unless sound

          double = (keys.tally.select { |_, count| count > 1 }.keys & named.flat_map(&:aliases)).first
          double ? [problem("aliases", "`#{double}` is an alias of more than one, or a key as well.")] : []
        end

        # Who may see a record sees by what people know it.
        def of_title(table)
          title = table.title_field
          if title&.access&.value?("nothing")
            [
              problem(
                "access",
                "People know a record of #{table.label} by #{title.label}; who may see the table sees it."
              )
            ]
          else
            []
          end
        end

        def sound_title?(table) = table.title.nil? || (field = table.field(table.title)) && !field.link?

        def of_rules(table)
          found = table.rules.flat_map { |rule| of_rule(rule, table).each { |each| each.rule ||= rule.id } }
          found + table.filters.flat_map { |filter| of_filter(filter, table) }
        end

        def of_forms(table)
          if table.forms.length > FormInspection::MOST_FORMS
            return [problem("form", "A table has at most #{FormInspection::MOST_FORMS} forms.")]
          end

          table.forms.flat_map { |form| FormInspection.new(form, table).problems }
        end

        def of_proofs(table)
          doubled = table.proofs.map(&:id).tally.find { |_, count| count > 1 }
          return [problem("proofs", "Two proofs of #{table.label} have the id #{doubled.first}.")] if doubled

          table.proofs.flat_map { |proof| ProofInspection.new(proof, table, @project.conventions).problems }
        end

        def of_filter(filter, table)
          label = Names.label_problem(filter.name)
          return [problem("name", label)] if label
          if table.filters.count { |each| each.name.to_s.downcase == filter.name.downcase } > 1
            return [problem("name", "There is already a view “#{filter.name}”.")]
          end
          unless filter.formula.is_a?(String)
            return [problem("formula", "A filter is a condition in words of the formula language.")]
          end
          unless filter.sound?
            return [problem("columns", "The order or the columns of the view “#{filter.name}” make no sense.")]
          end

          filter.compiled(table)
          []
        rescue Expression::Invalid => e
          e.problems.map { |each| Problem.new(part: "formula", message: each.message, from: each.from, to: each.to) }
        end

        def of_rule(rule, table)
          shape = rule.shape_problems
          shape.any? ? shape : rule.problems(table) + of_writers(rule, table)
        end

        # Where a rule alone gives the values, nothing else may.
        def of_writers(rule, table)
          return [] if rule.owns? || rule.masks?

          owner = table.rules.find { |other| other.owns? && rule.writes.include?(other.field) } or return []
          [problem("field", "#{table.field(owner.field)&.label} is written by another rule " \
            "already: #{owner.sentence(table)}")]
        end

        def of_name(named)
          label = Names.label_problem(named.label)
          key = Names.key_problem(named.key)
          note = problem("note", "A note is a text.") unless named.note.nil? || named.note.is_a?(String)
          [label && problem("label", label), key && problem("key", key), note].compact
        end

        def of_field(field)
          return [problem("type", "There is no field type “#{field.type}”.")] unless Values.all.key?(field.type)

          own = []
          if field.listed?
            own += field.list ? of_shared(field) : Choices.problems(field.label, field.choices,
              field.retired)
          end
          own += of_decimals(field) if field.numeric?
          own += of_link(field) if field.link?
          own + Formats.problems(field) +
            [Access.problem(field.access, Access::FIELD)].compact.map { |message| problem("access", message) }
        end

        def of_shared(field)
          @project.list(field.list) ? [] : [problem("list", "#{field.label}: there is no such list in this project.")]
        end

        def of_list(list)
          name = Names.label_problem(list.name)
          return [problem("name", name)] if name
          if @project.lists.count { |each|
               Unicode.folded(each.name.to_s) == Unicode.folded(list.name)
             } > 1
            return [problem("name", "There is already a list “#{list.name}”.")]
          end

          Choices.problems(list.name, list.values, list.retired)
        end

        def of_link(field)
          found = []
          unless @project.table(field.target.to_s)
            found << problem("target", "Pick the table that #{field.label} links to.")
          end
          unless ON_DELETE.include?(field.on_delete)
            found << problem(
              "on_delete",
              "When the linked record is deleted, its deletion can be refused, the link cleared or this " \
                "record deleted along."
            )
          end
          unless field.reverse.to_s == "" || Names.label_problem(field.reverse).nil?
            found << problem("reverse", "What the other side is called is a short text.")
          end
          found
        end

        def of_decimals(field)
          if field.decimals.nil? || (field.decimals.is_a?(Integer) && field.decimals.between?(0, MOST_DECIMALS))
            return []
          end

          [problem("decimals", "A number field takes 0 to #{MOST_DECIMALS} decimals.")]
        end

        def doubles(named, what)
          %i[label key]
            .flat_map do |part|
              groups =
                named
                  .group_by { |each| Unicode.folded(each[part].to_s) }
                  .values
                  .select { |group| group.length > 1 }
              groups.map { |group| problem(part.to_s, "There is already a #{what} “#{group.first[part]}”.") }
            end
            .uniq(&:message)
            .first(1)
        end

        def circles
          within = @project.tables.flat_map { |table| CircleCheck.new(table).problems }
          return within unless within.all?(&:tolerable)

          circle = @project.upkeep.circle or return within
          home = circle.first.table
          labels =
            circle.map do |each|
              if each.table.key == home.key && circle.all? { |other| other.table.key == home.key }
                each.field.label
              else
                "#{each.field.label} in #{each.table.label}"
              end
            end
          within + [CircleCheck.problem(labels, home)]
        end

        def problem(part, message) = Problem.new(part: part, message: message)
      end
    end
  end
end
