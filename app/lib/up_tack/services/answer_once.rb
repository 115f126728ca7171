# frozen_string_literal: true

module UpTack
  module Services
    # Does what is asked under a key once, and answers it alike whenever it is asked again.
    class AnswerOnce
      # What is known of a key: `answer` [Store::IdempotentResponse], and how it stands to this request
      # (:new, :known, :lost or :another).
      Known = Struct.new(:state, :answer)

      # @param caller [String] a key is theirs alone
      # @param key [String]
      # @param request [String] what is asked, in short
      def initialize(caller, key, request)
        @caller = caller
        @key = key
        @request = request
      end

      # One request after the other under a key.
      # @yield [known] what is known of it by then
      # @yieldparam known [Known]
      def call
        Store::IdempotentResponse.alone(@caller, @key) do
          found = Store::IdempotentResponse.find_by(caller: @caller, key: @key)
          yield Known.new(state(found), found || Store::IdempotentResponse.new(names))
        end
      end

      # @yield does it; that it was done is noted with the first that it writes
      def noting(answer, &work) = Store::Database.noting(answer, &work)

      private

      def state(found)
        return :new unless found
        return :another unless found.request == @request

        found.answered? ? :known : :lost
      end

      def names = {caller: @caller, key: @key, request: @request}
    end
  end
end
