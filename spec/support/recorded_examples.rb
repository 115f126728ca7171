# frozen_string_literal: true

require "active_support/core_ext/string/filters"
require "json"

# Examples for the API's document, taken from what specs ask and are answered: RECORD_EXAMPLES=1 with the specs of the
# web writes web/examples.json again. Of each operation the shortest that says something is kept.
module RecordedExamples
  PATH = File.expand_path("../../web/examples.json", __dir__)
  # Entries of a list, letters of a text and bytes of a whole example.
  MOST_ENTRIES = 2
  LONGEST = 160
  LARGEST = 3_000
  SECRETS = /uptack_[A-Za-z0-9_-]{20,}/

  @found = {}

  module_function

  def on? = !ENV.fetch("RECORD_EXAMPLES", "").empty?

  # @param operation [String] its id
  # @param status [Integer]
  # @param request [Object, nil] what was sent, in JSON
  # @param response [Object, nil] what was answered, in JSON
  # @yield [Symbol, Object] says whether a part still fits the document when it is shortened
  def note(operation, status, request, response)
    return unless (200..204).cover?(status)

    example = {"status" => status.to_s}
    {"request" => request, "response" => response}.each do |name, value|
      next if value.nil?

      short = shortened(value)
      example[name] = yield(name.to_sym, short) ? short : value
    end
    keep(operation, example)
  end

  def keep(operation, example)
    known = @found[operation]
    @found[operation] = example if known.nil? || (worth(example) <=> worth(known)) == 1
  end

  # What answers something, in few words; that which is done at once before what becomes a job.
  def worth(example)
    size = JSON.generate(example).bytesize
    empty = [[], {}, nil].include?(example["response"]) ? 1 : 0
    [(example["status"] == "202") ? 0 : 1, -empty, (size > LARGEST) ? -size : 0, example.key?("request") ? 1 : 0, -size]
  end

  # @param entries [Integer] of each list
  def shortened(value, entries: MOST_ENTRIES, letters: LONGEST)
    case value
    when Array then value.first(entries).map { |each| shortened(each, entries: entries, letters: letters) }
    when Hash then value.transform_values { |each| shortened(each, entries: entries, letters: letters) }
    when String then value.gsub(SECRETS, "uptack_EXAMPLE").truncate(letters, omission: "…")
    else value
    end
  end

  # What is still too long has one entry in each list, and at last none.
  def brief(example)
    [[1, 60], [0, 60]].each do |entries, letters|
      break if JSON.generate(example).bytesize <= LARGEST

      example = example.merge("response" => shortened(example["response"], entries: entries, letters: letters))
    end
    example
  end

  def write
    known = File.file?(PATH) ? JSON.parse(File.read(PATH)) : {}
    all = known.merge(@found).transform_values { |example| brief(example) }
    File.write(PATH, "#{JSON.pretty_generate(all.sort.to_h)}\n")
  end
end
