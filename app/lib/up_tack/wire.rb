# frozen_string_literal: true

module UpTack
  # Messages between processes of this installation: objects of Ruby, each with its length before it.
  module Wire
    module_function

    # @param message [Object] that Marshal can write
    # @param io [IO]
    # @return [void]
    # @raise [TypeError] for what it can't write; nothing is sent then
    def hand(message, io)
      text = Marshal.dump(message)
      io.write([text.bytesize].pack("N"), text)
      io.flush
    end

    # @param io [IO]
    # @return [Object]
    # @raise [EOFError] when the other one is gone
    def receive(io)
      length = io.read(4)&.unpack1("N") or raise EOFError
      text = io.read(length)
      (text&.bytesize == length) ? Marshal.load(text) : raise(EOFError)
    end
  end
end
