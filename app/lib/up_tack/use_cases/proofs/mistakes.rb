# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # How many small mistakes in the rules of a table its proofs notice, which slip through, and a
      # record for each of these. Counted in processes of their own, so that nobody waits for it, once
      # for each state of the design and its proofs; whichever process asks is told the same.
      class Mistakes
        SCRIPT = Installation.path("bin", "support", "mistakes.rb")
        # Counts that are remembered; seconds for which other processes are told; and under which name.
        MOST = 20
        KEPT = 24 * 60 * 60
        TOLD = "mistakes "
        STOPPED = :stopped

        # What is known of one table.
        # state:: "running", "ready" or "failed"; done, total:: rules
        # tried, noticed:: mistakes that make a difference; slipping:: of Slip; harmless:: of Harmless
        Count = Struct.new(:state, :done, :total, :tried, :noticed, :slipping, :harmless, keyword_init: true) do
          # @param attributes [Hash{String=>Object}] as JSON has them
          def self.from(attributes)
            parts = ->(name, kind) { attributes[name].map { |each| kind.new(**each.transform_keys(&:to_sym)) } }
            new(**attributes.transform_keys(&:to_sym), slipping: parts["slipping", Slip],
              harmless: parts["harmless", Harmless])
          end

          def as_json = to_h.merge(slipping: slipping.map(&:to_h), harmless: harmless.map(&:to_h))
        end
        # A mistake that makes no difference to any record. words:: what is done; why:: a sentence
        Harmless = Struct.new(:rule, :words, :why, keyword_init: true)
        # A mistake that no proof notices. mistake:: its place among those of the rule; words:: what is done
        # script:: of a record that would show it; looked:: whether one was looked for already
        Slip = Struct.new(:rule, :mistake, :words, :script, :looked, keyword_init: true)

        @counts = {}
        @threads = []
        # What is being counted, with the number of the process that does it: nil before it has begun, and
        # STOPPED where it shall not.
        @counting = {}
        @mutex = Mutex.new
        Store::Generation.on("all") { forget }

        class << self
          # @return [Count, nil]
          def known(key)
            @mutex.synchronize { @counts[key] } || Store::Shared[told_as(key)]&.then { |told| Count.from(told) }
          end

          # @param rules [Integer] how many the table has
          # @param asked [Hash] what the process is told
          # @return [Count] begun where nobody has asked before
          def count(key, rules, asked)
            Store::Shared.exclusively do
              known(key) || @mutex.synchronize do
                @counts.shift while @counts.length >= MOST
                @counts[key] = Count
                  .new(state: "running", done: 0, total: rules, tried: 0, noticed: 0, slipping: [], harmless: [])
                  .tap { |count| tell(key, count) && begin_beside(key, count, asked) }
              end
            end
          end

          # Waits until everything that was begun is counted.
          # @param seconds [Numeric]
          # @return [Boolean] whether it is
          def join(seconds = 120) = @threads.all? { |thread| thread.join(seconds) }

          # Ends what this process has begun: whoever asks again begins again.
          def stop = @mutex.synchronize { @counting.each_key { |key| terminate(key) } }

          # What is asked for after this is counted again.
          def forget
            @mutex.synchronize { @counts.clear }
            Store::Shared.all(TOLD).each_key { |name| Store::Shared.delete(name) }
          end

          private

          def told_as(key) = "#{TOLD}#{Digest::SHA256.hexdigest(JSON.generate(key))}"

          # Once it is counted it stays known without this process.
          def tell(key, count)
            Store::Shared.write(told_as(key), count.as_json, own: count.state == "running", seconds: KEPT)
            true
          end

          # What was counted of the same table before its design changed is of no use any more.
          def begin_beside(key, count, asked)
            @threads = @threads.select(&:alive?)
            @counting.each_key { |other| terminate(other) if other.values_at(0, 2) == key.values_at(0, 2) }
            @counting[key] = nil
            @threads << Thread.new do
              ask(key, asked) do |line|
                line.key?("record") ? record(count, line) : rule(count, line)
                tell(key, count)
              end
            rescue SystemCallError, JSON::ParserError, IOError
              nil # It is told as one that has not come to its end.
            ensure
              ended(key, count)
            end
          end

          # What was stopped is forgotten, so that whoever asks begins again.
          def ended(key, count)
            if @mutex.synchronize { @counting.delete(key) } == STOPPED
              @mutex.synchronize { @counts.delete(key) }
              return Store::Shared.delete(told_as(key))
            end

            count.state = "failed" unless count.done == count.total
            tell(key, count)
          end

          def ask(key, asked)
            command = [{"RUBYOPT" => nil}, RbConfig.ruby, *compiled, SCRIPT, {err: File::NULL, pgroup: true}]
            IO.popen(command, "r+") do |child|
              @mutex.synchronize do
                next Process.kill("TERM", -child.pid) if @counting[key] == STOPPED

                @counting[key] = child.pid
              end
              child.write(JSON.generate(asked))
              child.close_write
              child.each_line { |line| yield JSON.parse(line) }
            end
          end

          def terminate(key)
            child = @counting[key]
            @counting[key] = STOPPED
            # With those that it has begun itself.
            Process.kill("TERM", -child) if child.is_a?(Integer)
          rescue Errno::ESRCH
            nil # It has ended meanwhile.
          end

          # What runs the same rules many thousand times gains by Ruby's compiler, where there is one.
          def compiled = defined?(RubyVM::YJIT) ? ["--yjit"] : []

          def rule(count, line)
            count.tried += line["tried"]
            count.noticed += line["noticed"]
            count.slipping +=
              line["slipping"].map do |each|
                Slip.new(rule: each["rule"], mistake: each["mistake"], words: each["words"], looked: false)
              end
            count.harmless +=
              line["harmless"].map { |each| Harmless.new(rule: each["rule"], words: each["words"], why: each["why"]) }
            count.done += 1
            count.state = "ready" if count.done == count.total
          end

          def record(count, line)
            slip = count.slipping.find { |each| each.rule == line["record"] && each.mistake == line["mistake"] } or
              return
            slip.script = line["script"]
            slip.looked = true
          end
        end

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @return [Count, nil] nil while the proofs themselves have not run
        # @raise [Store::NotFound]
        def call(table)
          design = @workspace.table(table)
          overview = Overview.new(@workspace)
          return unless overview.fresh?

          seen =
            overview
              .lines
              .select { |line| line.table.key == table && line.state == "passed" }
              .to_h { |line| [line.proof.id, line.run.points] }
          asked = {
            "design" => @workspace.project.attributes,
            "table" => table,
            "seen" => seen,
            "language" => Core::Messages.language,
            "at" => SuggestEdges.clock(@workspace).to_s,
            "records" => around(design)
          }
          Mistakes.count(key(table), design.acting_rules.length, asked)
        end

        # @return [Slip, nil]
        def slip(table, rule, mistake) =
          Mistakes.known(key(table))&.slipping.to_a.find { |each| each.rule == rule && each.mistake == mistake }

        # @return [Array<Slip>] those for which a record was found, as far as they are counted
        def found(table) = Mistakes.known(key(table))&.slipping.to_a.select(&:script)

        private

        def key(table) = [Store::Database.path, @workspace.revision_id, table]

        # Records that links can lead to, plain.
        def around(design)
          RelatedRecords
            .new(@workspace)
            .records(design)
            .to_h do |other, records|
              target = @workspace.project.table(other)
              kept = target.fields.reject { |field| target.worked_out?(field.key) }
              [
                other,
                records.to_h do |id, values|
                  [
                    id.to_s,
                    kept
                      .reject { |field| values[field.key].nil? }
                      .to_h { |field| [field.key, field.values.dump(values[field.key])] }
                  ]
                end
              ]
            end
        end
      end
    end
  end
end
