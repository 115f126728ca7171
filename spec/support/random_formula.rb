# frozen_string_literal: true

# Makes formulas at random that have the right types, over the fields a and b
# (numbers), t and u (texts), d (a date), y (yes/no) and none.
class RandomFormula
  def initialize(random)
    @random = random
  end

  # @param depth [Integer] how far parts stand within one another
  def any(depth) = public_send(pick(%i[number text condition date]), depth)

  def number(depth)
    return pick(%w[a b none 0 1 2.5 10]) if depth.zero?

    pick(
      [
        -> { "#{number(depth - 1)} #{pick(%w[+ - *])} #{number(depth - 1)}" },
        -> { "(#{number(depth - 1)} #{pick(%w[+ - * / mod])} #{number(depth - 1)})" },
        -> { "-#{pick(%w[a 2])}" },
        -> { "-(#{number(depth - 1)})" },
        -> { "round(#{number(depth - 1)}, 1)" },
        -> { "len(#{text(depth - 1)})" },
        -> { "(if #{condition(depth - 1)} then #{number(depth - 1)} else #{number(depth - 1)})" },
        -> { "coalesce(#{number(depth - 1)}, 0)" }
      ]
    ).call
  end

  def text(depth)
    return pick(["t", "u", "\"x\"", "\"a \"\"b\"\"\"", "none"]) if depth.zero?

    pick(
      [
        -> { "(#{text(depth - 1)} & (#{any(depth - 1)}))" },
        -> { "upper(#{text(depth - 1)})" },
        -> { "left(#{text(depth - 1)}, 2)" },
        -> { "(if #{condition(depth - 1)} then #{text(depth - 1)} else #{text(depth - 1)})" }
      ]
    ).call
  end

  def date(depth) =
    depth.zero? ? pick(%w[d today() none]) : "(#{date(depth - 1)} #{pick(%w[+ -])} #{@random.rand(0..40)})"

  def condition(depth)
    return pick(%w[y yes no none]) if depth.zero?

    pick(
      [
        -> { "#{condition(depth - 1)} #{pick(%w[and or])} #{condition(depth - 1)}" },
        -> { "(#{condition(depth - 1)} #{pick(%w[and or])} #{condition(depth - 1)})" },
        -> { "not (#{condition(depth - 1)})" },
        -> { "(#{number(depth - 1)} #{pick(%w[= <> < <= > >=])} #{number(depth - 1)})" },
        -> { "(#{text(depth - 1)} #{pick(["=", "<>", "contains", "starts with", "ends with"])} #{text(depth - 1)})" },
        -> { "(#{number(depth - 1)} between #{number(depth - 1)} and #{number(depth - 1)})" },
        -> { "((#{any(depth - 1)}) is #{pick(["", "not "])}blank)" },
        -> { "(#{text(depth - 1)} #{pick(["", "not "])}in (#{text(depth - 1)}, \"kiln\"))" }
      ]
    ).call
  end

  private

  def pick(list) = list[@random.rand(list.length)]
end
