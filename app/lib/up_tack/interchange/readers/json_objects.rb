# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # Finds where each object of a list of JSON begins and ends, quotes and brackets in texts left aside. The list is
      # the whole text, or the first list of objects within one object.
      class JsonObjects
        BLOCK = 1 << 16
        # What may stand between the parts of a list or an object.
        BETWEEN = ",: \n\r\t"

        # @param file [IO] read from where it stands
        # @param name [String]
        def initialize(file, name)
          @file = file
          @name = name
          @depth = @count = 0
        end

        # @return [Boolean] whether the list is part of an object, of which nothing else is read
        def within? = @outer == "{"

        # @yield [String] each object as it is written
        # @raise [Unreadable]
        def each(&block)
          while !@over && (part = @file.read(BLOCK))
            part.each_char do |sign|
              break if @over

              take(sign, &block)
            end
            next unless @held && @held.bytesize > Json::LONGEST

            refuse(Core::Messages["interchange.json.object_of_is_too_long", number: @count + 1, name: @name])
          end
          no_list if @outer.nil?
          refuse(Core::Messages["interchange.json.ends_within_object", name: @name, number: @count + 1]) unless @over
        end

        private

        def take(sign, &block)
          @held << sign if @held
          if @escaped then @escaped = false
          elsif @text then within_text(sign)
          elsif sign == "{" || sign == "[" then opened(sign)
          elsif sign == "}" || sign == "]" then closed(&block)
          else
            @text = sign == "\""
            check unless @held || BETWEEN.include?(sign)
          end
        end

        def within_text(sign)
          @text = false if sign == "\""
          @escaped = true if sign == "\\"
        end

        def opened(sign)
          @outer ||= sign
          if @held.nil?
            @held = +sign if sign == "{" && @depth == @list
            # The list itself, or one that is the value of a name in the object around it.
            @list ||= @depth + 1 if sign == "[" && (@depth.zero? || (@depth == 1 && @outer == "{"))
          end
          @depth += 1
        end

        def closed
          @depth -= 1
          if @held
            return if @depth > @list

            @count += 1
            yield @held
            return @held = nil
          end
          # A list without objects is not the one that is looked for, unless it is all there is.
          @list = nil if @list && @depth < @list && @outer == "{" && @count.zero?
          @over = @depth.zero? || (!@list.nil? && @depth < @list)
          no_list if @over && @outer == "{" && @count.zero?
        end

        def check
          no_list if @outer.nil?
          return unless @outer == "[" && @depth == @list

          refuse(Core::Messages["interchange.json.object_of_is_no_object", number: @count + 1, name: @name])
        end

        def no_list = refuse(Core::Messages["interchange.json.is_no_list_of_objects", name: @name])
        def refuse(message) = raise(Unreadable, message)
      end
    end
  end
end
