# frozen_string_literal: true

module UpTack
  # What every use case is given: the design as it is now, its plans, the clock
  # and who acts. Made for one request.
  class Workspace
    # @return [Store::Person] whoever acts
    attr_reader :person

    # This process forgets what others have made past.
    # @return [void]
    def self.follow = Store::Generation.follow

    # @param person [Store::Person]
    # @param clock [Clock, nil] a pretend one; the machine's otherwise
    # @param apart [Boolean] whether the work has this process for itself, and may write in portions
    def initialize(person:, clock: nil, apart: false)
      @person = person
      @clock = clock
      @apart = apart
    end

    def apart? = @apart

    # @return [Array(Integer, String)] number and name of whoever acts, as the log keeps them
    def author = @author ||= [person.id, person.name.dup.freeze].freeze

    def project = compiled.project
    def revision_id = compiled.revision_id
    def clock = @clock ||= Clock.new(project.conventions.time_zone)

    # @return [Core::Design::Visibility] what whoever acts may see
    def visibility = @visibility ||= Core::Design::Visibility.new(project, person.role)

    # @return [Core::Design::Table]
    # @raise [Store::NotFound]
    def table(key) = project.table(key) || raise(Store::NotFound, Core::Messages[
      "common.there_is_no_table", table: key
    ])

    # @param table [String] key
    # @param key [String]
    # @return [Core::Design::Field]
    # @raise [Store::NotFound]
    def field(table, key)
      design = table(table)
      design.field(key) ||
        raise(Store::NotFound, Core::Messages["common.there_is_no_field", unknown: key, table: design.label])
    end

    # @param table [String] key
    # @param id [String]
    # @return [Core::Rules::Rule]
    # @raise [Store::NotFound]
    def rule(table, id)
      design = table(table)
      design.rule(id) ||
        raise(Store::NotFound, Core::Messages["app.workspace.there_is_no_rule", rule: id, design: design.label])
    end

    # @return [Hash{String=>Core::Save::Plan}] all, by table
    def plans = compiled.plans

    # @return [Core::Save::CompiledProject]
    def ground = compiled.ground

    # @return [Core::Save::Plan]
    def plan(key) = compiled.plans.fetch(table(key).key)

    # @return [Core::Save::PlanPartition] of the table's plan
    def partition(key) = compiled.partitions[key] ||= Core::Save::PlanPartition.new(plan(key), project.upkeep)

    # @param form [String, nil] id of a form; nil for no form
    # @return [Array(Core::Save::Plan, Core::Forms::CompiledForm)] by which a record is worked out
    #   that somebody types in the form; without a form the second is nil
    # @raise [Store::NotFound]
    def filled_in(key, form)
      design = table(key)
      if form && !design.form(form)
        raise Store::NotFound, Core::Messages["common.there_is_no_such_form", design: design.label]
      end

      ground.filled_in(key, form)
    end

    # @param form [Hash{String=>Object}] a form as somebody designs it, plain and not yet kept
    # @return [Array(Core::Save::Plan, Core::Forms::CompiledForm)] the same for that
    # @raise [Core::Invalid]
    def tried_in(key, form)
      change = Core::Design::Changes::SaveForm.new(table: key, form: form.merge("name" => "#{form["name"]} (tried)"))
      design = change.apply(project).table(key)
      found = design.form(change.id)
      [Core::Save::Plan.new(design.on(found), project.conventions), Core::Forms::CompiledForm.new(found, design)]
    end

    # @return [Core::Context] that looks at other records afresh
    # @param pending [Store::UnsavedOverlay, nil] what is about to be saved beside the stored records
    # @param readings [Core::Save::ParseCache, nil] of many records
    def context(counters: Store::Counters.new, pending: nil, readings: nil)
      records = Store::LinkedRecords.new(compiled.plans, @rows ||= {})
      seen = pending ? pending.over(records) : records
      Core::Context
        .new(
          clock: clock,
          person: acting,
          records: seen,
          counters: counters,
          readings: readings,
          patience: Store::Deadline::LOOK
        )
        .tap { |context| records.context = context }
    end

    # Runs the block in one transaction, by the design as it is once every writer
    # before has finished: what this request saw earlier may be past.
    # @param savepoint [Boolean] see Store::Database.write
    def write(savepoint: false)
      Store::Database.write(savepoint: savepoint) do
        renew
        yield
      end
    end

    # The person as the core knows people: rules ask for the name with every record.
    def acting = @acting ||= Core::Ports::Person.new(name: author.last, email: person.email, role: person.role)

    # Forgets the design seen so far.
    def renew = @compiled = @rows = nil

    private

    def compiled = @compiled ||= Store::CompiledDesign.current
  end
end
