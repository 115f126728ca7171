# frozen_string_literal: true

require "core_helper"
require "prism"

# Kinds of rules and types of fields say of themselves what they are; nobody else asks for them by name.
RSpec.describe "Kinds of rules and types of fields" do
  root = File.expand_path("..", __dir__)
  kinds = Core::Rules.all.keys
  types = Core::Values.all.keys

  # Finds `rule.kind == "fill"`, `%w[text date].include?(field.type)`, `case field.type when "text"`,
  # and rules that are asked for their class.
  finder =
    Class.new(Prism::Visitor) do
      attr_reader :found

      def initialize(kinds, types)
        super()
        @names = {kind: kinds, type: types}
        @found = []
      end

      def visit_call_node(node)
        sides = [node.receiver, *node.arguments&.arguments]
        if %i[== != include? ===].include?(node.name) && sides.any? { |side| asked(side) }
          names = @names.fetch(asked(sides.find { |side| asked(side) }))
          @found << node if sides.flat_map { |side| texts(side) }.any? { |text| names.include?(text) }
        end
        classes = /\bRules::|\bValues::(?!Unreadable\b)[A-Z]/
        @found << node if node.name == :is_a? && node.arguments&.slice.to_s.match?(classes)
        super
      end

      def visit_case_node(node)
        names = @names[asked(node.predicate)]
        @found << node if names && node.conditions.flat_map(&:conditions).any? { |each|
          texts(each).any? { |text| names.include?(text) }
        }
        super
      end

      private

      # A rule's kind, or a field's type; what has another kind or type is another matter.
      def asked(node)
        return unless node.is_a?(Prism::CallNode) && %i[kind type].include?(node.name) && node.arguments.nil?

        of = node.receiver&.slice.to_s
        node.name if of.match?((node.name == :kind) ? /rule\)?\z/ : /field(\(.*\))?\z/)
      end

      def texts(node)
        return [node.unescaped] if node.is_a?(Prism::StringNode)

        node.is_a?(Prism::ArrayNode) ? node.elements.grep(Prism::StringNode).map(&:unescaped) : []
      end
    end

  it "are never asked for by name in Ruby" do
    places =
      Dir[File.join(root, "{core,app,web}", "lib", "**", "*.rb")].flat_map do |file|
        seen = finder.new(kinds, types)
        Prism.parse_file(file).value.accept(seen)
        seen.found.map { |node| "#{file.delete_prefix("#{root}/")}:#{node.location.start_line} #{node.slice[0, 80]}" }
      end
    named =
      Dir[File.join(root, "{core,app,web}", "lib", "**", "*.rb")].grep_v(%r{/rules/}).flat_map do |file|
        File.foreach(file).grep_v(/^\s*#/).grep(/\bRules::(Kinds::)?(#{kinds.map { |key|
          key.split("_").map(&:capitalize).join
        }.join("|")})\b/).map { |line| "#{file.delete_prefix("#{root}/")} #{line.strip}" }
      end
    puts "\n#{places.length + named.length} places ask for a kind or a type by name in Ruby"
    expect(places + named).to be_empty, (places + named).join("\n")
  end

  it "are never asked for by name in the interface, but where the editor of each is found" do
    registries = %w[ui/src/views/board/parts/editors.ts ui/src/views/board/parts/editors.tsx]
    asks = /\b(?:field|type|rule|parts|draft)\??\.(?:type|kind) [!=]== "(#{(kinds + types).join("|")})"/
    bare = /(?<![.\w])(?:type [!=]== "(?:#{types.join("|")})"|kind [!=]== "(?:#{(kinds - %w[number]).join("|")})")/
    places =
      Dir[File.join(root, "ui", "src", "**", "*.{ts,tsx}")].grep_v(/generated/).flat_map do |file|
        name = file.delete_prefix("#{root}/")
        next [] if registries.include?(name)

        File.foreach(file).with_index(1).filter_map do |line, at|
          # What a field is in a formula is told by the server, too: `field.kind`.
          told = line.match(asks)
          "#{name}:#{at} #{line.strip}" if line.match?(bare) || (told && !line.match?(/field\??\.kind/))
        end
      end
    puts "\n#{places.length} places ask for a kind or a type by name in the interface"
    expect(places).to be_empty, places.join("\n")
  end
end
