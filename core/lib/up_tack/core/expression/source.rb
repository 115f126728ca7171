# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # What an aggregate goes over, found from its dotted names: links that lead
      # away first, then the table whose records link back, then (where two of
      # its links could be meant) the link, then the path of the value.
      #
      #   pieces.wet_weight            linked pieces, their weight
      #   maker.pieces                 all pieces of this piece's maker
      #   transfers.giver.amount       transfers in which this is the giver
      class Source
        # steps:: Steps to the linked records; links:: names with their entries on the way
        # reverse:: the Scope::Reverse; value:: the names after it
        attr_reader :steps, :reverse, :value, :references

        # A mistake, with the name at which it shows.
        class Mistake < StandardError
          attr_reader :segment

          def initialize(message, segment)
            @segment = segment
            super(message)
          end
        end

        # @param scope [Scope]
        # @param segments [Array<Nodes::Segment>]
        # @raise [Mistake]
        def initialize(scope, segments)
          @scope = scope
          @steps = []
          @references = []
          @rest = segments.dup
          follow_links
          find_reverse
          @value = @rest
        end

        private

        def follow_links
          while (entry = @scope[@rest.first.key]) && entry.link? && @rest.length > 1
            segment = @rest.shift
            refer(@scope.key, segment, segment.key)
            target = entry.target.call
            @steps << Step.new(kind: :link, table: @scope.key, key: segment.key, target: target.key)
            @scope = target
          end
        end

        def find_reverse
          segment = @rest.shift
          found = @scope.reverses.select { |each| each.scope.called?(segment.key) }
          raise Mistake.new(unlinked(segment), segment) if found.empty?

          @reverse = named_link(found) || found.first
          raise Mistake.new(ambiguous(segment, found), segment) if found.length > 1 && !@named

          refer(@reverse.scope.key, segment, nil)
          refer(@reverse.scope.key, @named, @reverse.link.key) if @named
          @steps << Step.new(
            kind: :linked,
            table: @reverse.scope.key,
            key: @reverse.link.key,
            target: @reverse.scope.key
          )
          @references << Reference.new(
            table: @reverse.scope.key,
            key: @reverse.link.key,
            steps: @steps.dup,
            before: false
          )
        end

        def named_link(found)
          link = @rest.first && found.find { |each| each.scope[@rest.first.key]&.key == each.link.key }
          @named = @rest.shift if link
          link
        end

        def refer(table, segment, key)
          @references << Reference.new(
            table: table,
            key: key,
            steps: @steps.dup,
            before: false,
            from: segment.from,
            to: segment.to
          )
        end

        def unlinked(segment)
          tables = @scope.reverses.map { |each| each.scope.key }.uniq
          near = Spelling.nearest(segment.key, tables)
          if near
            return (
              Messages[
                "expression.source.no_table_links_to_but_one_alike",
                segment: segment.key,
                table: @scope.label,
                near: near
              ]
            )
          end
          if (entry = @scope[segment.key])
            return one_value(entry, tables)
          end

          Messages[
            "expression.source.no_table_links_to",
            segment: segment.key,
            table: @scope.label || "this",
            known: tables.any? ? Messages["expression.source.known", count: tables.length, tables: listed(tables)] : ""
          ]
        end

        def one_value(entry, tables)
          return Messages["expression.source.is_one_value", label: entry.label] if tables.empty?

          Messages["expression.source.is_one_value_unlike", label: entry.label, table: tables.first]
        end

        def listed(tables) = tables.map { |each| "`#{each}`" }.join(", ")

        def ambiguous(segment, found)
          Messages[
            "expression.source.link_here_in_ways",
            table: found.first.scope.label,
            number: found.length,
            paths: found.map { |each| "`#{segment.key}.#{each.link.key}`" }.join(" or ")
          ]
        end
      end
    end
  end
end
