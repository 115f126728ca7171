# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # Rows of JSON (RFC 8259): a list of objects, or an object a line (JSON Lines). Read
      # object by object, so that a long list takes no more memory than its longest object.
      class Json
        attr_reader :format, :columns, :notes

        # Objects looked at to tell the columns.
        SAMPLE = 500
        BLOCK = 1 << 16
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
            object.each_key { |key| keys[key] = true }
            break if (count += 1) >= SAMPLE
          end
          raise Unreadable, Core::Messages["interchange.json.holds_no_objects", name: name] if keys.empty?

          @columns, @notes = Source.columns(keys.keys, name)
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
            nested = object.find { |_, value| value.is_a?(Hash) || value.is_a?(Array) }
            unknown = object.keys - @keys
            problem = Core::Messages["interchange.json.holds_list_or_object", nested: nested.first] if nested
            if unknown.any?
              problem ||=
                Core::Messages[
                  "interchange.json.it_has_which_none_of_first_objects",
                  unknown: unknown.first,
                  number: SAMPLE
                ]
            end
            yield Source::Row.new(number, @keys.map { |key| cell(object[key]) }, problem), place
          end
        end

        private

        def cell(value)
          case value
          when Integer then BigDecimal(value)
          when Hash, Array then JSON.generate(value)
          else value
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

        # Finds where each object of the list begins and ends, quotes and brackets in texts left aside.
        def list(file)
          depth = 0
          text = false
          escaped = false
          held = nil
          count = 0
          begun = ended = false
          while (block = file.read(BLOCK))
            block.each_char do |sign|
              held << sign if held
              if escaped then escaped = false
              elsif text
                text = false if sign == '"'
                escaped = true if sign == "\\"
              elsif sign == '"' then text = true
              elsif "{[".include?(sign)
                if !begun && sign != "["
                  raise Unreadable,
                    Core::Messages["interchange.json.is_no_list_of_objects", name: @name]
                end

                begun = true
                held = +sign if depth == 1
                depth += 1
              elsif "}]".include?(sign)
                depth -= 1
                if depth == 1
                  count += 1
                  yield object(held, "Object #{count}"), file.pos
                  held = nil
                end
                ended = true if depth.zero?
              elsif depth == 1 && !",\s\n\r\t".include?(sign) && held.nil?
                raise Unreadable,
                  Core::Messages["interchange.json.object_of_is_no_object", number: count + 1, name: @name]
              end
              if held && held.bytesize > LONGEST
                raise Unreadable,
                  Core::Messages["interchange.json.object_of_is_too_long", number: count + 1, name: @name]
              end
            end
          end
          raise Unreadable, Core::Messages["interchange.json.is_no_list_of_objects", name: @name] unless begun
          unless ended
            raise Unreadable,
              Core::Messages["interchange.json.ends_within_object", name: @name, number: count + 1]
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
