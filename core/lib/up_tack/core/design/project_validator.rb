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
            found << problem("one", Messages["design.project_validator.what_one_record_is_called_is_short"])
          end
          if table.fields.length > MOST_FIELDS
            found << problem("fields", Messages["design.project_validator.table_has_at_most_fields", most: MOST_FIELDS])
          end
          unless sound_title?(table)
            found << problem("title", Messages["design.project_validator.people_can_know_record_by_field"])
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
                Messages["design.project_validator.check_is_made_every_hour_day"]
              )
            ]
          end
        end

        def of_log(log)
          sound =
            log.is_a?(Hash) && log.length == 1 && %w[only all_but].include?(log.keys.first) &&
            log.values.first.is_a?(Array) && log.values.first.all?(String)
          sound ? [] : [problem("log", Messages["design.project_validator.change_log_watches_only_some_fields"])]
        end

        # @param named [Array<Field, Table>]
        def of_aliases(named)
          keys = named.flat_map { |each| [each.key, *each.aliases] }
          sound =
            named.all? { |each| each.aliases.is_a?(Array) && each.aliases.all? { |key| Names.key_problem(key).nil? } }
          unless sound
            return [problem("aliases",
              Messages["design.project_validator.alias_is_key_of_small_letters_figures"])]
          end

          double = (keys.tally.select { |_, count| count > 1 }.keys & named.flat_map(&:aliases)).first
          double ? [problem("aliases", Messages[
            "design.project_validator.is_alias_of_more_than_one", name: double
          ])] : []
        end

        # Who may see a record sees by what people know it.
        def of_title(table)
          title = table.title_field
          if title&.access&.value?("nothing")
            [
              problem(
                "access",
                Messages["design.project_validator.people_know_record", table: table.label, title: title.label]
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
            return [
              problem(
                "form",
                Messages["design.project_validator.table_has_at_most_forms", most: FormInspection::MOST_FORMS]
              )
            ]
          end

          table.forms.flat_map { |form| FormInspection.new(form, table).problems }
        end

        def of_proofs(table)
          doubled = table.proofs.map(&:id).tally.find { |_, count| count > 1 }
          if doubled
            return [
              problem(
                "proofs",
                Messages["design.project_validator.two_proofs_of_have_id", table: table.label, id: doubled.first]
              )
            ]
          end

          table.proofs.flat_map { |proof| ProofInspection.new(proof, table, @project.conventions).problems }
        end

        def of_filter(filter, table)
          label = Names.label_problem(filter.name)
          return [problem("name", label)] if label
          if table.filters.count { |each| each.name.to_s.downcase == filter.name.downcase } > 1
            return [problem("name", Messages["design.project_validator.there_is_already_view", filter: filter.name])]
          end
          unless filter.formula.is_a?(String)
            return [problem("formula", Messages["design.project_validator.filter_is_condition_in_words_of_formula"])]
          end
          unless filter.sound?
            return [
              problem(
                "columns",
                Messages["design.project_validator.order_or_columns_of_view_make", filter: filter.name]
              )
            ]
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
          label = table.field(owner.field)&.label
          [
            problem(
              "field",
              Messages["design.project_validator.is_written_already", field: label, sentence: owner.sentence(table)]
            )
          ]
        end

        def of_name(named)
          label = Names.label_problem(named.label)
          key = Names.key_problem(named.key)
          unless named.note.nil? || named.note.is_a?(String)
            note = problem("note",
              Messages["design.project_validator.note_is_text"])
          end
          [label && problem("label", label), key && problem("key", key), note].compact
        end

        def of_field(field)
          unless Values.all.key?(field.type)
            return [problem("type",
              Messages["common.there_is_no_field_type", type: field.type])]
          end

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
          @project.list(field.list) ? [] : [problem("list", Messages[
            "design.project_validator.there_is_no_such_list_in_project", field: field.label
          ])]
        end

        def of_list(list)
          name = Names.label_problem(list.name)
          return [problem("name", name)] if name
          if @project.lists.count { |each|
               Unicode.folded(each.name.to_s) == Unicode.folded(list.name)
             } > 1
            return [problem("name", Messages["design.project_validator.there_is_already_list", list: list.name])]
          end

          Choices.problems(list.name, list.values, list.retired)
        end

        def of_link(field)
          found = []
          unless @project.table(field.target.to_s)
            found << problem("target", Messages["design.project_validator.pick_table_links_to", field: field.label])
          end
          unless ON_DELETE.include?(field.on_delete)
            found << problem(
              "on_delete",
              Messages["design.project_validator.when_linked_record_is_deleted_its_deletion"]
            )
          end
          unless field.reverse.to_s == "" || Names.label_problem(field.reverse).nil?
            found << problem("reverse", Messages["design.project_validator.what_other_side_is_called_is_short"])
          end
          found
        end

        def of_decimals(field)
          if field.decimals.nil? || (field.decimals.is_a?(Integer) && field.decimals.between?(0, MOST_DECIMALS))
            return []
          end

          [
            problem(
              "decimals",
              Messages["design.project_validator.number_field_takes_0_to_decimals", most: MOST_DECIMALS]
            )
          ]
        end

        def doubles(named, what)
          %i[label key]
            .flat_map do |part|
              groups =
                named
                  .group_by { |each| Unicode.folded(each[part].to_s) }
                  .values
                  .select { |group| group.length > 1 }
              groups.map { |group|
                problem(
                  part.to_s,
                  Messages["design.project_validator.there_is_already", thing: what, name: group.first[part]]
                )
              }
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
