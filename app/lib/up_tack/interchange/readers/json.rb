# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # Rows of JSON (RFC 8259): a list of objects, also as the first such list of an object around it, or an object
      # a line (JSON Lines). Read object by object, so that a long list takes no more memory than its longest object.
      # An object within another one gives its columns with dots, "kiln.name"; a list is read as one text.
      class Json
        attr_reader :format, :columns, :notes

        # Objects looked at to tell the columns.
        SAMPLE = 500
        # Bytes of one object at most.
        LONGEST = 8 << 20

        # @raise [Unreadable]
        def initialize(path, name, format)
          @path = path
          @name = name
          @format = format
          found = EncodingDetector.call(path)
          unless found.name == "UTF-8" && found.mixed.empty?
            raise Unreadable,
              Core::Messages[
                "interchange.json.is_not_sound_utf_8_which_json",
                name: name,
                line: found.mixed.first || 1
              ]
          end

          @mark = found.mark
          keys = {}
          count = 0
          each_object do |object, _|
            flat(object).each_key { |key| keys[key] = true }
            break if (count += 1) >= SAMPLE
          end
          raise Unreadable, Core::Messages["interchange.json.holds_no_objects", name: name] if keys.empty?

          @columns, @notes = Source.columns(keys.keys, name)
          @notes.unshift(Core::Messages["interchange.json.first_list_is_read", name: name]) if @within
          @keys = keys.keys
        end

        # @return [Hash] how it is read: nothing that somebody could know better
        def read_as = {}

        # @return [Integer] its size, by which progress is told
        def size = File.size(@path)

        # @yield [Source::Row] each object; the first is row 2, as it would be under a head
        # @yieldparam place [Integer] how many bytes are read
        def each_row
          number = 1
          each_object do |object, place|
            number += 1
            doubled = nil
            object = flat(object) { |name| doubled ||= name }
            unknown = object.keys - @keys
            if unknown.any?
              problem =
                Core::Messages[
                  "interchange.json.it_has_which_none_of_first_objects",
                  unknown: unknown.first,
                  number: SAMPLE
                ]
            end
            problem ||= Core::Messages["interchange.json.has_name_twice", name: doubled] if doubled
            yield Source::Row.new(number, @keys.map { |key| cell(object[key]) }, problem), place
          end
        end

        private

        def cell(value)
          case value
          when Integer then BigDecimal(value)
          when Array then listed(value)
          else value
          end
        end

        # Plain values are read as people would list them.
        def listed(values)
          return JSON.generate(values) if values.any? { |each| each.is_a?(Hash) || each.is_a?(Array) }

          values.compact.map { |value| Profile.text(cell(value)) }.join(", ").then { |all| all unless all.empty? }
        end

        # @yield [String] a name that two of its values would have
        def flat(object, &doubled)
          return object unless object.each_value.any?(Hash)

          object.each_with_object({}) do |(key, value), all|
            found = {key => value}
            found = flat(value, &doubled).transform_keys { |inner| "#{key}.#{inner}" } if value.is_a?(Hash)
            all.merge!(found) { |name, one, _| doubled&.call(name).then { one } }
          end
        end

        def each_object(&block)
          File.open(@path, "rb") do |file|
            file.seek(@mark)
            (format == "jsonl") ? lines(file, &block) : list(file, &block)
          end
        end

        def lines(file)
          number = 0
          while (line = file.gets("\n", LONGEST + 1))
            number += 1
            if line.bytesize > LONGEST
              raise Unreadable, Core::Messages["interchange.json.line_of_is_too_long", number: number, name: @name]
            end
            next if line.strip.empty?

            yield object(line, "Line #{number}"), file.pos
          end
        end

        def list(file)
          objects = JsonObjects.new(file, @name)
          count = 0
          objects.each do |text|
            @within = objects.within?
            yield object(text, "Object #{count += 1}"), file.pos
          end
        end

        def object(text, place)
          found = JSON.parse(text.dup.force_encoding(Encoding::UTF_8), decimal_class: BigDecimal, max_nesting: 20)
          unless found.is_a?(Hash)
            raise Unreadable,
              Core::Messages["interchange.json.of_is_no_object", place: place, name: @name]
          end

          found
        rescue JSON::ParserError, EncodingError
          raise Unreadable,
            Core::Messages["interchange.json.of_is_not_sound_json", place: place, name: @name]
        end
      end
    end
  end
end
