# frozen_string_literal: true

module UpTack
  module Store
    # The design of the latest revision with what is derived from it once. Kept for as long as no
    # revision is added.
    # ground:: its tables and forms made ready to be filled in and tried
    # partitions:: of its plans, by table, as far as they were needed
    CompiledDesign =
      Struct.new(:path, :revision_id, :project, :plans, :ground, :partitions, keyword_init: true) do
        @mutex = Mutex.new
        @current = nil

        class << self
          # @return [CompiledDesign] that of the latest revision
          # @raise [NotFound] while there is none
          def current
            latest = Statements.run("SELECT MAX(id) FROM up_tack_revisions").dig(0, 0) or
              raise NotFound, Core::Messages["store.compiled_design.there_is_no_project_yet"]
            @mutex.synchronize do
              @current = compile(latest) unless @current&.revision_id == latest && @current.path == Database.path
              @current
            end
          end

          # Forgets it, where the file became another one.
          # @return [void]
          def forget = @mutex.synchronize { @current = nil }

          private

          def compile(id)
            project = Core::Design::Project.reopen(JSON.parse(Revision.find(id).design))
            plans = project.tables.to_h { |table| [table.key, Core::Save::Plan.new(table, project.conventions)] }
            new(
              path: Database.path,
              revision_id: id,
              project: project,
              plans: plans,
              ground: Core::Save::CompiledProject.new(project, plans),
              partitions: {}
            )
          end
        end
      end

    Generation.on("all") { CompiledDesign.forget }
  end
end
