# frozen_string_literal: true

require "openssl"

module UpTack
  module Store
    # An address that is told of changes.
    # tables:: JSON, ids of the tables that it is told of, nil for all
    # place:: up to where it was told, see UseCases::History::Changes
    # salt, key_id:: of what its secret is made, which is kept nowhere
    # failures:: attempts since it last answered; next_at:: before which there is no other one
    # problem:: what came of the last attempt, nil where it was well
    class Webhook < SystemRecord
      self.table_name = "up_tack_webhooks"

      belongs_to :person, class_name: "UpTack::Store::Person"

      # @return [String] by which what is sent is signed, in hexadecimal; nil where its key is gone
      def secret
        key = LogKey.find(key_id)
        key && OpenSSL::HMAC.hexdigest("SHA256", key.bytes, "webhook #{id} #{salt}")
      end

      # @return [Array<String>, nil] ids of tables, nil for all
      def table_ids = tables && JSON.parse(tables)
    end
  end
end
