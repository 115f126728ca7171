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
            raise Unreadable, "#{name} is not sound UTF-8, which JSON must be: line #{found.mixed.first || 1}."
          end

          @mark = found.mark
          keys = {}
          count = 0
          each_object do |object, _|
            object.each_key { |key| keys[key] = true }
            break if (count += 1) >= SAMPLE
          end
          raise Unreadable, "#{name} holds no objects." if keys.empty?

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
            problem = "“#{nested.first}” holds a list or an object; a cell holds one value." if nested
            problem ||= "It has “#{unknown.first}”, which none of the first #{SAMPLE} objects has." if unknown.any?
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
            raise Unreadable, "Line #{number} of #{@name} is too long." if line.bytesize > LONGEST
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
                raise Unreadable, "#{@name} is no list of objects." if !begun && sign != "["

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
                raise Unreadable, "Object #{count + 1} of #{@name} is no object."
              end
              raise Unreadable, "Object #{count + 1} of #{@name} is too long." if held && held.bytesize > LONGEST
            end
          end
          raise Unreadable, "#{@name} is no list of objects." unless begun
          unless ended
            raise Unreadable,
              "#{@name} ends within object #{count + 1}; it was cut off. Everything before it is sound."
          end
        end

        def object(text, place)
          found = JSON.parse(text.dup.force_encoding(Encoding::UTF_8), decimal_class: BigDecimal, max_nesting: 20)
          raise Unreadable, "#{place} of #{@name} is no object." unless found.is_a?(Hash)

          found
        rescue JSON::ParserError, EncodingError
          raise Unreadable,
            "#{place} of #{@name} is not sound JSON; the file may have been cut off there. Everything " \
              "before it is sound."
        end
      end
    end
  end
end
