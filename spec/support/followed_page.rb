# frozen_string_literal: true

# A page of the guide as somebody follows it, step after step: only what the step at hand names may be used.
class FollowedPage
  FOLDER = File.expand_path("../../docs/guide", __dir__)

  def initialize(name)
    @name = name
    text = File.read(File.join(FOLDER, "#{name}.md"))
    @steps = text.scan(/^(\d+)\. (.*?)(?=^\d+\. |^\S|\z)/m).map { |number, step|
      [Integer(number), step.tr("\n", " ").squeeze(" ")]
    }
    @done = 0
  end

  # @param number [Integer] of the next step
  # @param labels [Array<String>] what the step tells somebody to use
  def step(number, *labels)
    expected, text = @steps.fetch(@done)
    raise "#{@name}: step #{expected} comes next, not #{number}" unless expected == number

    labels.each do |label|
      named = text.gsub(/\*\*[^*]+\*\*/, "").scan(/\*([^*]+)\*|`([^`]+)`/).flatten.compact
      raise "#{@name}, step #{number}, does not name #{label.inspect}: #{text}" unless named.include?(label)
    end
    @done += 1
    yield(*labels)
  end

  def finished? = @done == @steps.length
end
