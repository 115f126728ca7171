# frozen_string_literal: true

# Makes up masks that can be typed by, and texts that may or may not fit them.
# The same seed makes the same ones.
class RandomMask
  CLASSES = %w[DIGIT UPPER LOWER ALPHA ALNUM].freeze
  SIGNS = ["-", "/", " ", ".", ":", " x ", "PC-", "+", "No. "].freeze
  CHARACTERS = %w[a b K z É ß 0 1 7 9 - / . : x X P C + #].push(" ", "ﬁ", "窯").freeze

  def initialize(seed)
    @random = Random.new(seed)
  end

  # @return [String]
  def mask
    loop do
      text = Array.new(@random.rand(1..3)) { part }.join(" #{literal} ")
      text = "#{literal} #{text}" if @random.rand < 0.3
      text = "#{text} [ #{literal} #{repeated} ]" if @random.rand < 0.25
      return text unless UpTack::Core::Masks::ClientMask.problem(UpTack::Core::Masks.read(text))
    end
  end

  # @return [String] near enough to the mask to be telling
  def text(mask)
    sample = UpTack::Core::Masks::Examples.sample(UpTack::Core::Masks.read(mask)).chars
    @random.rand(0..3).times do
      place = @random.rand(0..sample.length)
      case @random.rand(4)
      when 0 then sample.delete_at(place)
      when 1 then sample.insert(place, CHARACTERS.sample(random: @random))
      when 2 then sample = sample.first(place)
      else sample.map!(&:downcase)
      end
    end
    sample.join
  end

  private

  def literal = %("#{SIGNS.sample(random: @random)}")
  def part = (@random.rand < 0.8) ? repeated : "#{@random.rand(1..3)}DIGIT"

  def repeated
    least = @random.rand(1..3)
    count = (@random.rand < 0.3) ? "#{least}*#{least + @random.rand(1..2)}" : least.to_s
    "#{count}#{CLASSES.sample(random: @random)}"
  end
end
