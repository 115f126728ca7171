# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Changes of a base record that show what a rule can do, as far as no formula tells. A kind of rule names the
        # method that suits it (`shown_by`), or finds its cases by itself.
        class PointCases
          # A value that its mask lets pass.
          def self.typed(field, table)
            mask = table.mask(field.key)
            mask ? Masks::Examples.sample(mask) : Samples::Values.usual(field)
          end

          def initialize(table, base, solver, seen)
            @table = table
            @base = base
            @solver = solver
            @seen = seen
          end

          # @return [Design::Table]
          attr_reader :table

          # @param text [String] a formula that is yes or no
          # @return [Array<Hash{String=>Object}>] changes by which it comes out as wanted
          def meeting(text, wanted) = @solver.assignments_for(Expression.parse(text), wanted, @seen)

          # @param columns [Array<Decisions::Input>] of a decision table
          # @param values [Array<Object>] one for each
          # @return [Array<Hash{String=>Object}>] changes of the base record by which the inputs are so
          def inputs(columns, values)
            columns.zip(values).reduce([{}]) do |assignments, (column, value)|
              assignments.flat_map { |found| set(column.formula.tree, value).map { |more| found.merge(more) } }
            end
          end

          # The strategies: each is called with a rule and the key of one of its points.

          def defaulted(rule, key) = (key == "idle") ? [other(rule.field)].compact : [{rule.field => :untyped}]

          def untidy(rule, key)
            return [{rule.field => rule.run(text(rule.field))}] unless key == "acts"

            [{rule.field => " #{text(rule.field).upcase}  "}, {rule.field => "#{text(rule.field).downcase}  x"}]
          end

          def looked_up(rule, key)
            return existing(rule) unless key == "refused"

            [{rule.field => "nowhere"}, {rule.field => BigDecimal(999_999)}]
          end

          def copied(rule, key) = (key == "acts") ? [{}] : rule.reads(@table).map { |link| {link => nil} }

          def text(key) = @seen[key].is_a?(String) ? @seen[key] : "Made up"

          def other(key)
            field = @table.field(key)
            another = field.values.other(field, @seen[key], @base.context.clock.today)
            another.nil? ? nil : {key => another}
          end

          # One character short, and one too many.
          def masked(rule, key)
            sample = Masks::Examples.sample(rule.mask)
            return [{rule.field => sample}] if %w[fits passed].include?(key)

            [sample[0...-1], "#{sample}#{sample[-1]}", "?"].map { |text| {rule.field => text} }
          end

          def required(rule, key)
            blank = [{rule.field => nil}]
            condition = rule.attributes["when"]
            return [{}] unless key == "refused"

            if condition
              @solver
                .assignments_for(Expression.parse(condition), true, @seen.merge(rule.field => nil))
                .map { |assignment| assignment.merge(rule.field => nil) }
            else
              blank
            end
          end

          def limited(rule, key)
            low, high = rule.test(@table).then { |test| [test.low, test.high].map { |formula| formula&.tree } }
            return [*beyond(rule.field, low, "below"), *beyond(rule.field, high, "above")] if key == "refused"
            return [*beyond(rule.field, low, "on"), *beyond(rule.field, high, "on")] if key == "passed"

            ending, side = key.split
            beyond(rule.field, (ending == "low") ? low : high, side)
          end

          # A field next to one end of its limits: typed, or what it is calculated from.
          def beyond(key, limit_node, side)
            return [] if limit_node.nil?

            own = Expression::Nodes::Field.new(key: key, from: 0, to: 0)
            return @solver.assignments_relating(own, limit_node, side, @seen) if @table.rule_owned?(key)

            sign = {"below" => -1, "on" => 0, "above" => 1}.fetch(side)
            limit = @solver.value_of(limit_node, @seen)
            return [] if limit.nil?
            return [{key => DayTime.new((limit.seconds + (sign * 60)).clamp(0, 86_399))}] if limit.is_a?(DayTime)

            [{key => limit + (sign * @solver.step(key))}]
          end

          def lengths(rule, key)
            least, most = rule.attributes.values_at("least", "most")
            sized = ->(length) do
              {rule.field => (length.positive? ? "abcdefghij".ljust(length, "klmnopqrst")[0, length] : nil)}
            end
            return [least && sized.call(least - 1), most && sized.call(most + 1)].compact if key == "refused"
            return [sized.call(least || most)] if key == "passed"

            ending, side = key.split
            [sized.call(((ending == "low") ? least : most) + {"below" => -1, "on" => 0, "above" => 1}.fetch(side))]
          end

          def listed(rule, key)
            values =
              Array(rule.attributes["values"]).map { |stored| @table.field(rule.field).values.load(stored) }
            (key == "passed") ? [{rule.field => values.first}] : [other_than(rule.field, values)]
          end

          def other_than(key, values)
            first = values.first
            {key => (first.is_a?(BigDecimal) || first.is_a?(::Date)) ? values.max + 1 : "not on the list"}
          end

          def existing(rule)
            attributes = rule.attributes
            (@base.records[attributes["target"]] || {})
              .values
              .filter_map { |values| values[attributes["target_field"]] }
              .first(2)
              .map { |value| {rule.field => value} }
          end

          def narrowed(rule, key)
            belongs = key == "belongs"
            field = @table.field(rule.field)
            return strayed(rule) if !belongs && rule.otherwise != "refuse"

            if rule.mapped?
              parents =
                rule.map.select do |_, children|
                  field.open_choices.any? { |choice| children.include?(choice) == belongs }
                end
              return parents
                  .first(2)
                  .map do |parent, children|
                    {
                      rule.attributes["by"] => parent,
                      rule.field => field.open_choices.find { |choice| children.include?(choice) == belongs }
                    }
                  end
            end
            options = field.link? ? @base.records.fetch(field.target, {}).keys : field.open_choices
            condition = Expression.parse(rule.attributes["formula"])
            options
              .flat_map do |option|
                @solver
                  .assignments_for(condition, belongs, @seen.merge(rule.field => option))
                  .map { |assignment| {rule.field => option}.merge(assignment) }
              end
              .reject { |assignment| assignment.keys.any? { |key| key.include?(".") } }
              .first(4)
          end

          # The parent becomes another, after the child was chosen.
          def strayed(rule)
            rule
              .reads(@table)
              .flat_map do |key|
                if @table.field(key).listed?
                  @table
                    .field(key)
                    .open_choices
                    .reject { |choice| choice == @seen[key] }
                    .first(3)
                    .map { |choice| {key => choice, rule.field => :untyped} }
                else
                  []
                end
              end
          end

          def stated(rule, key)
            tree = Expression.parse(rule.attributes["when"])
            met = @solver.assignments_for(tree, true, @seen)
            unmet = @solver.assignments_for(tree, false, @seen)
            value = @seen[rule.field].nil? ? PointCases.typed(@table.field(rule.field), @table) : @seen[rule.field]
            case key
            when "holds"
              met
            when "not"
              unmet.map { |assignment| {rule.field => nil}.merge(assignment) }
            when "cleared"
              unmet.map do |assignment|
                assignment.merge("first" => met.first.to_h.merge(rule.field => value), rule.field => :untyped)
              end
            else
              against(rule, met, unmet, value)
            end
          end

          # What somebody types all the same.
          def against(rule, met, unmet, value)
            return met.map { |assignment| assignment.merge(rule.field => nil) } if rule.state == "required"

            ((rule.state == "read_only") ? met : unmet).map { |assignment| assignment.merge(rule.field => value) }
          end

          def decided(rule, key)
            return [{}] if key == "idle"

            columns = rule.columns(@table)
            reading = Decisions::TableParser.new(rule, @table, ParseContext.new(conventions: Conventions.from({})))
            rows = reading.rows
            regions = Decisions::Regions.values_of(columns, rows)
            assignment = RowValues.new(regions, rows).find(key[/\Arow (\d+)\z/, 1]&.then { |place| place.to_i - 1 })
            assignment ||= columns.map { nil } if key == "no row"
            return [] unless assignment

            open = rule.writes.to_h { |target| [target, :untyped] }
            inputs(columns, assignment).map { |found| found.merge(open) }
          end

          def set(node, value)
            return [{node.key => value}] if node.is_a?(Expression::Nodes::Field)
            if node.is_a?(Expression::Nodes::Path) && node.owner.is_a?(Expression::Nodes::Field)
              return [{"#{node.owner.key}.#{node.key}" => value}]
            end

            literal = Expression::Nodes::Literal.new(value: value, from: 0, to: 0)
            value.nil? ? [{}] : @solver.assignments_relating(node, literal, "on", @seen)
          end

          def locked(rule, key)
            tree = Expression.parse(rule.attributes["when"])
            change = rule.locked(@table).filter_map { |each| other(each) }.first or return []
            role = {
              "user.role" =>
                Access::ROLES.find { |each| each != rule.attributes["except_role"] && each != "reader" }
            }
            @solver.assignments_for(tree, key == "refused", @seen).map { |assignment|
              change.merge(role).merge("first" => assignment)
            }
          end

          def filled(rule, key)
            condition = rule.attributes.values_at("reaches", "when").compact.map { |text| Expression.parse(text) }
            targets = rule.writes.to_h { |target| [target, :untyped] }
            met =
              condition.reduce([{}]) do |assignments, tree|
                assignments.flat_map do |assignment|
                  @solver.assignments_for(tree, key == "acts", @seen.merge(assignment)).first(3).map { |more|
                    assignment.merge(more)
                  }
                end
              end
            triggers =
              rule
                .triggers(@table)
                .select { |each| @seen[each].nil? }
                .to_h { |each| [each, PointCases.typed(@table.field(each), @table)] }
            return rule.triggers(@table).map { |each| {each => nil} } if key == "idle" && condition.empty?

            met.map { |assignment| triggers.merge(targets).merge(assignment) }
          end

          def calculated(rule, key)
            if key == "acts" && rule.reads(@table).all? { |each| @seen[each] || @table.rule_owned?(each) }
              return {}, rule.once? ? {rule.field => :untyped} : {}
            end
            if key == "acts"
              return [
                rule
                    .reads(@table)
                    .reject { |each| @table.rule_owned?(each) || @seen[each] }
                    .to_h { |each| [each, Samples::Values.usual(@table.field(each))] }
              ]
            end

            return [other(rule.field)].compact if rule.once?

            open = rule.reads(@table).reject { |each| @table.rule_owned?(each) }
            [*open.map { |each| {each => nil} }, open.to_h { |each| [each, nil] }]
          end

          def eventful(rule, key)
            attributes = rule.attributes
            condition = attributes["when"]
            return @solver.assignments_for(Expression.parse(condition), key == "acts", @seen) if condition
            return [{attributes["tick"] => key == "acts"}] if attributes["tick"]
            return [{}] if attributes["event"] == "made"

            watched =
              if attributes["watch"].to_a.empty?
                @table.fields.map(&:key).reject { |each| @table.rule_owned?(each) }
              else
                attributes["watch"]
              end
            if key == "acts"
              watched.filter_map { |each| other(each) }.first(3)
            else
              (@table.fields.map(&:key).reject { |each| @table.rule_owned?(each) } - watched)
                .filter_map { |each| other(each) }
                .first(3)
            end
          end
        end
      end
    end
  end
end
