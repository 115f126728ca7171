# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # The design's own history: what each revision changed, and one rule put back
      # as a revision had it before.
      class Revisions
        LATEST = 100

        # What putting a state back would do. differences:: of the design
        # losses:: what people would no longer have, though an undo brings it back: [{place:, what:, count:}],
        #   what "records" of a table or "values" of a field
        Foreseen = Struct.new(:differences, :losses, keyword_init: true)

        # @return [String, nil] in words, the change that an undo would take back; and that which a redo would repeat
        def self.to_undo = Store::Revision.to_undo&.summary
        def self.to_redo = Store::Revision.to_redo&.summary

        # @return [String] what the project is called now
        def self.project_name = Store::CompiledDesign.current.project.name

        def initialize(workspace)
          @workspace = workspace
        end

        # @param before [Integer, nil] only those older than this one
        # @param person [Integer, nil] only those of one person
        # @return [Array<Store::Revision>] the newest first, without their designs
        def page(before: nil, person: nil, limit: LATEST)
          scope = Store::Revision.history.order(id: :desc).limit(limit)
          scope = scope.where("id < ?", before) if before
          scope = scope.where(person_id: person) if person
          scope.to_a
        end

        # @return [Array<Core::Design::ProjectDiff::Difference>] what a revision made different
        # @raise [Store::NotFound]
        def differences(id)
          revision = Store::Revision.find_by(id: id) or
            raise Store::NotFound, Core::Messages["designing.all.there_is_no_revision", id: id]
          Core::Design::ProjectDiff.new(revision.previous && project(revision.previous), project(revision)).differences
        end

        # @return [Foreseen] what putting the design back to the state after a revision would do
        # @raise [Store::NotFound]
        def foresee(id)
          revision = Store::Revision.find_by(id: id) or
            raise Store::NotFound, Core::Messages["designing.all.there_is_no_revision", id: id]
          now, back = @workspace.project, project(revision)
          Foreseen.new(differences: Core::Design::ProjectDiff.new(now, back).differences, losses: losses(now, back))
        end

        # The change that puts one rule back as it was before a revision.
        # @return [Core::Design::Changes::Change]
        # @raise [Store::NotFound, Core::Invalid]
        def rule_before(id, rule)
          found = differences(id).find { |each| each.what == "rule" && each.id == rule } or
            raise Store::NotFound, Core::Messages["designing.revisions.revision_did_not_change_such_rule"]
          table = @workspace.project.tables.find { |each| each.id == found.table } or
            Core::Invalid.because(Core::Messages["common.its_table_is_no_longer_there"])
          earlier = project(Store::Revision.find(id).previous).tables.find { |each| each.id == found.table }&.rule(rule)
          now = table.rule(rule)
          return Core::Design::Changes::UnpinRule.new(table: table.key, rule: rule) if earlier.nil? && now

          Core::Invalid.because(Core::Messages["designing.revisions.rule_is_not_there"]) unless earlier
          Core::Design::Changes::PinRule.new(
            table: table.key,
            rule: now ? earlier.attributes : earlier.attributes.except("id")
          )
        end

        private

        def losses(now, back)
          now.tables.flat_map do |table|
            rows = Store::RecordTable.new(table)
            later = back.tables.find { |each| each.id == table.id }
            next lost(table.label, "records", rows.count) unless later

            gone =
              table.kept_fields.reject do |field|
                later.fields.any? { |each| each.id == field.id && each.type == field.type }
              end
            filled = gone.empty? ? {} : rows.filled
            gone.flat_map { |field| lost("#{field.label} of #{table.label}", "values", filled.fetch(field.key, 0)) }
          end
        end

        def lost(place, what, count) = count.zero? ? [] : [{place: place, what: what, count: count}]

        def project(revision) = Core::Design::Project.reopen(JSON.parse(Store::Revision.find(revision.id).design))
      end
    end
  end
end
