# frozen_string_literal: true

require "prism"
require "set"
require "tsort"

# Which constants of this code each file names, found in its syntax: a graph of files, and of the
# folders that they stand in. A constant is known by the place of its file, as the loaders have it.
class ConstantGraph
  ROOTS = {
    "core/lib/up_tack/core" => %w[UpTack Core],
    "app/lib/up_tack" => %w[UpTack],
    "web/lib/up_tack/web" => %w[UpTack Web]
  }.freeze
  # Folders whose own folders are looked at one by one.
  DEEP = %w[app/use_cases].freeze

  # @param root [String] of the project
  def initialize(root)
    @root = root
    paths = ROOTS.keys.flat_map { |base| Dir["#{root}/#{base}/**/*.rb"] }
    @names = paths.to_h { |path| [short(path), Names.new(Prism.parse_file(path).value)] }
    @homes = @names.flat_map { |file, names| names.defined.map { |constant| [constant, file] } }.to_h
    # Where a module is opened in many files, the one that is called after it is its own.
    paths.each { |path| @homes[constant(path)] = short(path) }
  end

  # @return [Hash{String=>Array<String>}] files by those that name something of them
  def files
    @edges ||=
      @names.to_h do |file, names|
        [file, names.used.filter_map { |nest, path| resolve(nest, path) }.uniq - [file]]
      end
  end

  # @return [Hash{String=>Array<String>}] the same by folders, each with those that it leans on
  def folders
    files.each_with_object({}) do |(file, others), found|
      (found[folder(file)] ||= []).concat(others.map { |other| folder(other) } - [folder(file)])
      others.each { |other| found[folder(other)] ||= [] }
    end.transform_values(&:uniq)
  end

  # @return [Array<Array<String>>] folders that lean on one another
  def circles
    graph = folders
    TSort.each_strongly_connected_component(graph.method(:each_key), ->(node, &each) { graph[node].each(&each) })
      .select { |members| members.length > 1 }
  end

  # @return [Array<String>] "file -> file" of every step from one folder to another
  def steps(from, to) =
    files.flat_map do |file, others|
      next [] unless folder(file) == from

      others.select { |other| folder(other) == to }.map { |other| "#{file} -> #{other}" }
    end

  # @param file [String] such as "core/save/plan.rb"
  # @return [String] the folder; a module's own file belongs to its folder
  def folder(file)
    parts = file.delete_suffix(".rb").split("/")
    deep = DEEP.include?(parts.first(2).join("/")) ? 3 : 2
    (parts.length > deep || folder?(parts)) ? parts.first(deep).join("/") : file
  end

  private

  # Whether a file is that of a module with a folder of its own.
  def folder?(parts)
    base = ROOTS.keys.find { |each| each.start_with?("#{parts.first}/") }
    File.directory?("#{@root}/#{base}/#{parts.drop(1).join("/")}")
  end

  def constant(file)
    base = ROOTS.keys.find { |each| file.start_with?("#{@root}/#{each}/") }
    names = file.delete_prefix("#{@root}/#{base}/").delete_suffix(".rb").split("/")
    ROOTS.fetch(base) + names.map { |name| name.split("_").map(&:capitalize).join }
  end

  def short(file)
    base = ROOTS.keys.find { |each| file.start_with?("#{@root}/#{each}/") }
    "#{base.split("/").first}/#{file.delete_prefix("#{@root}/#{base}/")}"
  end

  # @return [String, nil] the file in which Ruby would find what is named
  def resolve(nest, path)
    scope =
      nest.length.downto(0).map { |count| nest.first(count).flatten }.find { |each| @homes.key?(each + path.first(1)) }
    return unless scope

    whole = scope + path
    longest = whole.length.downto(1).find { |count| @homes.key?(whole.first(count)) }
    @homes.fetch(whole.first(longest)) unless whole.first(longest).length == 1
  end

  # The constants that a file names, with the modules around each, and those that it defines.
  class Names < Prism::Visitor
    # @return [Array<Array(Array<Array<String>>, Array<String>)>]
    attr_reader :used
    # @return [Array<Array<String>>]
    attr_reader :defined

    def initialize(tree)
      @nest = []
      @used = []
      @defined = []
      tree.accept(self)
    end

    def visit_module_node(node) = within(node)

    def visit_class_node(node)
      node.superclass&.accept(self)
      within(node)
    end

    def visit_constant_write_node(node)
      @defined << (@nest.flatten + [node.name.to_s])
      super
    end

    def visit_constant_read_node(node) = @used << [@nest.dup, [node.name.to_s]]

    def visit_constant_path_node(node)
      @used << [@nest.dup, node.full_name_parts.map(&:to_s)]
    rescue Prism::ConstantPathNode::DynamicPartsInConstantPathError
      super
    end

    private

    def within(node)
      @nest.push(node.constant_path.full_name.split("::"))
      @defined << @nest.flatten
      node.body&.accept(self)
      @nest.pop
    end
  end
end
