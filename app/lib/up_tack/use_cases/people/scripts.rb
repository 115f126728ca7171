# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # What all scripts are held to, whoever's token they have.
      module Scripts
        SETTING = "scripts_name_versions"

        class << self
          # @return [Boolean] whether a script has to say which version of a record it changes or deletes
          def name_versions? = Store::Settings[SETTING] == "yes"

          # @param wanted [Boolean]
          # @param by [Store::Person] a builder
          # @return [void]
          def change(wanted, by:)
            return if wanted == name_versions?

            Store::Database.write { Store::Settings[SETTING] = wanted ? "yes" : "no" }
            SecurityLog.note("scripts_changed", {"name_versions" => wanted}, person: by)
          end
        end
      end
    end
  end
end
