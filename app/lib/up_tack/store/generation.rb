# frozen_string_literal: true

module UpTack
  module Store
    # Numbers in the database by which every process notices that what it remembers is past, though another one changed
    # it: `all` when the file became another one, `people` when somebody is called otherwise. What follows from the
    # design or from records is known by the revision and the position of the log instead.
    module Generation
      KINDS = %w[all people log].freeze
      SQL = "SELECT name, value FROM up_tack_settings WHERE name IN " \
        "(#{KINDS.map { |kind| "'generation_#{kind}'" }.join(", ")})".freeze

      @forgetting = KINDS.to_h { |kind| [kind, []] }
      @mutex = Mutex.new

      class << self
        # @param kind [String] of KINDS
        # @yield is called when what was remembered is past
        # @return [void]
        def on(kind, &block) = @forgetting.fetch(kind) << block

        # Within the transaction that makes it so; other processes notice once that is over.
        # @return [void]
        def change(kind)
          forget(kind)
          Settings["generation_#{kind}"] = SecureRandom.hex(8)
        end

        # What this process remembers of it is past.
        # @return [void]
        def forget(kind) = @forgetting.fetch(kind).each(&:call)

        # Forgets what others have changed since the last look.
        # @return [void]
        def follow
          seen = [Database.path, Statements.run(SQL).to_h]
          return if seen == @seen

          past = @mutex.synchronize { changed(seen).tap { @seen = seen } }
          past.each { |kind| forget(kind) }
        end

        private

        def changed(seen)
          return [] unless @seen && @seen.first == seen.first

          KINDS.select { |kind| seen.last["generation_#{kind}"] != @seen.last["generation_#{kind}"] }
        end
      end
    end
  end
end
