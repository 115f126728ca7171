# frozen_string_literal: true

# A plot of costs over sizes, both by powers of ten, as SVG.
class Plot
  WIDTH = 860
  HEIGHT = 420
  LEFT = 60
  RIGHT = 190
  TOP = 40
  BOTTOM = 50
  COLOURS = %w[#1f5c4d #8b5a1b #3a5a8c #a03c2e #6a4c93 #4d6b2f].freeze

  # @param title [String]
  # @param across [String] what grows
  # @param up [String] what it costs, with its unit
  # @param lines [Hash{String=>Hash{Numeric=>Numeric}}] cost by size, by name
  def initialize(title, across, up, lines)
    @title = title
    @across = across
    @up = up
    @lines = lines
    @x = bounds(lines.values.flat_map(&:keys))
    @y = bounds(lines.values.flat_map(&:values))
  end

  # @return [String]
  def to_s
    <<~SVG
      <svg xmlns="http://www.w3.org/2000/svg" width="#{WIDTH}" height="#{HEIGHT}" font-family="sans-serif"
        font-size="13">
      <rect width="100%" height="100%" fill="#fffdf7"/>
      <text x="#{LEFT}" y="24" font-size="16" font-weight="bold">#{@title}</text>
      #{[*grid, *lines].join("\n")}
      <text x="#{LEFT}" y="#{HEIGHT - 10}">#{@across}</text>
      <text x="#{LEFT - 50}" y="#{TOP + 2}">#{@up}</text>
      </svg>
    SVG
  end

  private

  def bounds(values)
    [Math.log10(values.min).floor, [Math.log10(values.max).ceil, Math.log10(values.min).floor + 1].max]
  end

  def x(value) = (LEFT + (share(value, @x) * (WIDTH - LEFT - RIGHT))).round(1)
  def y(value) = (HEIGHT - BOTTOM - (share(value, @y) * (HEIGHT - TOP - BOTTOM - 16))).round(1)
  def share(value, (from, to)) = (Math.log10(value) - from) / (to - from)

  def grid
    across = (@x.first..@x.last).map do |power|
      place = x(10**power)
      %(<line x1="#{place}" y1="#{TOP + 16}" x2="#{place}" y2="#{HEIGHT - BOTTOM}" stroke="#e5dfd0"/>) +
        %(<text x="#{place}" y="#{HEIGHT - BOTTOM + 18}" text-anchor="middle">#{figure(10**power)}</text>)
    end
    up = (@y.first..@y.last).map do |power|
      place = y(10**power)
      %(<line x1="#{LEFT}" y1="#{place}" x2="#{WIDTH - RIGHT}" y2="#{place}" stroke="#e5dfd0"/>) +
        %(<text x="#{LEFT - 6}" y="#{place + 4}" text-anchor="end">#{figure(10.0**power)}</text>)
    end
    across + up
  end

  def lines
    ends = @lines.to_h { |name, costs| [name, y(costs.to_a.last.last)] }
    placed = ends.sort_by(&:last).each_with_object([]) do |(name, place), told|
      told << [name, [place, told.empty? ? place : told.last.last + 16].max]
    end.to_h
    @lines.each_with_index.map do |(name, costs), index|
      colour = COLOURS[index % COLOURS.length]
      points = costs.map { |size, cost| "#{x(size)},#{y(cost)}" }
      dots = points.map { |point|
        %(<circle cx="#{point.split(",").first}" cy="#{point.split(",").last}" r="3" fill="#{colour}"/>)
      }
      %(<polyline points="#{points.join(" ")}" fill="none" stroke="#{colour}" stroke-width="2"/>#{dots.join}) +
        %(<text x="#{WIDTH - RIGHT + 10}" y="#{placed[name] + 4}" fill="#{colour}">#{name}</text>)
    end
  end

  def figure(number)
    (number >= 1) ? number.to_i.to_s.reverse.scan(/\d{1,3}/).join(",").reverse : number.round(4).to_s
  end
end
