# frozen_string_literal: true

module UpTack
  module Recalculation
    # Works out everything that is kept once more when a file was written by a version whose
    # formulas came to other values, so that a mistake mended in the language does not live on in
    # what was kept before.
    module Edition
      SETTING = "formulas"

      module_function

      # @return [void]
      def follow
        return if Store::Settings[SETTING] == Core::Expression::EDITION.to_s

        work_out if Store::Revision.exists?
        Store::Settings[SETTING] = Core::Expression::EDITION.to_s
      end

      def work_out
        # Indexes hold texts in the form in which they are compared.
        Store::Database.connection.execute("REINDEX")
        workspace = Workspace.new(person: Store::Person.new(id: 0, name: "Up Tack", role: "builder"))
        dirty = Dirty.new
        upkeep = workspace.project.upkeep
        upkeep.calculations.each { |each| dirty.add(each.place, :all) if !each.rule.once? && upkeep.kept?(*each.place) }
        Run.new(workspace).run(dirty)
      end
    end
  end
end
