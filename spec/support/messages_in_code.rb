# frozen_string_literal: true

require "prism"

# What the code asks of the catalogue of messages, read from its syntax alone.
class MessagesInCode < Prism::Visitor
  Use = Struct.new(:keys, :values, :place)

  # Calls and parts by which something is declared beside its code: what a kind, a type or a function is.
  DECLARED = %i[kind make about description label example help desc long_desc].freeze

  # @return [Hash{String=>String, Hash}] texts by their full keys
  def self.catalogue(root)
    UpTack::Core::Messages.flattened(Dir[File.join(root, "{core,app,web}", "messages", "en", "*.yml")])
  end

  attr_reader :uses, :sentences

  def initialize(root)
    super()
    @uses = []
    @sentences = []
    @declared = 0
    Dir[File.join(root, "{core,app,web}", "lib", "**", "*.rb")].sort.each do |file|
      @assigned = {}
      @file = file.delete_prefix("#{root}/")
      Prism.parse_file(file).value.accept(self)
    end
  end

  def visit_call_node(node)
    return read(node) if node.name == :[] && node.receiver&.slice.to_s.match?(/\A(Core::)?Messages\z/)

    declaring(DECLARED.include?(node.name)) { super }
  end

  def visit_local_variable_write_node(node)
    found = keys_in(node.value)
    @assigned[node.name] = found if found.any? { |key| key.match?(/\A[a-z_]+(\.\w+)+\z/) }
    super
  end

  def visit_assoc_node(node)
    key = node.key.respond_to?(:unescaped) ? node.key.unescaped.to_sym : nil
    declaring(DECLARED.include?(key)) { super }
  end

  def visit_string_node(node) = note(node, node.unescaped)

  def visit_interpolated_string_node(node)
    text = node.parts.map { |part| part.is_a?(Prism::StringNode) ? part.unescaped : "…" }.join
    note(node, text)
    super
  end

  private

  def declaring(yes)
    @declared += 1 if yes
    yield
  ensure
    @declared -= 1 if yes
  end

  # A key may be one of several, even by a local name; each of them stands whole in the file, so that it is found.
  def read(node)
    first, rest = node.arguments.arguments
    keys = keys_in(first)
    values = rest ? rest.elements.map { |each| each.key.unescaped } : []
    @uses << Use.new(keys, values, "#{@file}:#{node.location.start_line}")
    rest&.accept(self)
  end

  def keys_in(node)
    case node
    when Prism::StringNode then [node.unescaped]
    when Prism::LocalVariableReadNode then @assigned.fetch(node.name, [])
    else node.compact_child_nodes.flat_map { |child| keys_in(child) }
    end
  end

  # A sentence: begins with a capital or a value, ends with a full stop, and has words.
  def note(node, text)
    return if @declared.positive? || !text.valid_encoding? || node.opening.to_s.start_with?("<<")
    return unless text.match?(/\A(\p{Lu}\p{Ll}|…|“|An? ).*[.?!]\z/m) && text.scan(/\p{Ll}{2,}/).length > 2

    @sentences << "#{@file}:#{node.location.start_line} #{text}"
  end
end
