# frozen_string_literal: true

module UpTack
  module Web
    # For Puma::Client: where an answer is put together before it is sent. Puma 6 to 8 have one for each connection, and
    # a thread that has given an answer empties it once more when another thread may be at the next one already (the
    # `ensure` of Puma::Server#process_client): an answer without its first lines. Each thread has its own here, since
    # it is at one answer at a time.
    module OwnBuffer
      KEY = :up_tack_answer

      # @return [Puma::IOBuffer]
      def io_buffer = Thread.current[KEY] ||= Puma::IOBuffer.new
    end
  end
end
