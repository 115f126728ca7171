# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        class Histories
          # Records for what refuses or warns: one that was there before the rule, a warning that is passed,
          # a second one, a locked field changed.
          module Validations
            private

            def validated
              return old if @rule.masks? || !(@rule.warning? || @rule.lets_old? || before?)

              old + @shown.slice("refused").values.map { |played|
                [Wording["saved with a reason"], passed(played.script)]
              }
            end

            def passed(script) =
              {**script, "acts" => [*script["acts"], {"do" => "pass", "rule" => @rule.id, "reason" => "known"}]}

            # Texts that the mask takes and another one does not, which a slip of the hand could have made of it.
            def misfits
              return [] if @table.rule_owned?(@rule.field)

              own = Masks.read(@rule.attributes["mask"])
              sample = Masks::Examples.sample(own)
              longer = (0...sample.length).flat_map do |place|
                [2, 3].map { |times| sample[0...place] + (sample[place] * times) + sample[place + 1..] }
              end
              others = Mutants::Settings.new(@rule, @table).masks.map { |text| Masks.read(text) }
              texts = others.filter_map { |mask| [sample, *longer].find { |text| own.fits?(text) != mask.fits?(text) } }
              texts.uniq.map { |text| [Wording["typed as “%{text}”", text: text], :typed, {@rule.field => text}] }
            rescue Masks::Invalid
              []
            end

            # Whether it looks at what the record was.
            def before? = @rule.formula_parts.each_value.any? { |formula| Expression.parse(formula).looks_back? }

            def unique
              met, unmet = [true, false].map { |wanted| turn(wanted) }
              filled = typed(@rule.keys).to_h { |key| [key, @seen[key] || PointCases.typed(@table.field(key), @table)] }
              assignment = filled.merge(met)
              blank = typed(@rule.keys).to_h { |key| [key, nil] }
              alike = [
                [Wording["exists twice already, and something else changes"], :beside, assignment],
                [Wording["a second one, saved with a reason"], :twice_passed, assignment],
                [Wording["a second one with other capitals"], :half, assignment],
                [Wording["a second one, and neither is compared"], :twice, assignment.merge(unmet)],
                [Wording["blank twice"], :twice, assignment.merge(blank)],
                [Wording["blank twice already"], :beside, assignment.merge(blank)]
              ]
              apart = typed(@rule.keys).filter_map do |key|
                (value = other(key)) && [Wording["a second one with %{named}", named: named(key, value)], :another,
                  {key => value}]
              end
              alike + apart
            end

            # Changes by which the condition of the rule holds, or does not.
            def turn(wanted) = condition ? @solver.assignments_for(condition, wanted, @seen).first || {} : {}

            # Each locked field alone, as each of those who may save.
            def locked
              held, open = [true, false].map { |wanted| turn(wanted) }
              roles = Access::ROLES - %w[reader]
              typed(@rule.locked(@table))
                .first(MOST_FIELDS)
                .flat_map do |key|
                  next [] if (value = other(key) || relinked(key)).nil?

                  texts =
                    roles.map do |role|
                      [Wording["%{field} is changed by a %{role}", field: label(key), role: role], :typed,
                        changed(key, value, role, held)]
                    end
                  last = roles.last
                  by = {field: label(key), role: Wording[last]}
                  words = Wording["%{field} is changed by a %{role} while the condition is not true", **by]
                  texts << [words, :typed, changed(key, value, last, open)]
                end
            end

            def changed(key, value, role, first) = {key => value, "user.role" => role, "first" => first}

            def relinked(key)
              field = @table.field(key)
              @base.records.fetch(field.target, {}).keys.find { |id| id != @seen[key] } if field.link?
            end
          end
        end
      end
    end
  end
end
