# frozen_string_literal: true

module UpTack
  module Store
    module LogCheck
      # Whether everything that guards the tables of the log is there, as it was made.
      module Guarded
        module_function

        def run(verdict)
          there =
            LogCheck
              .rows("SELECT name, sql, tbl_name FROM sqlite_master WHERE type = 'trigger'")
              .to_h { |name, sql, table| [name, [sql, table]] }
          AppendOnly.all_triggers.each do |name, sql|
            unless there.key?(name)
              verdict.fault(Core::Messages["store.guarded.trigger_which_guards_log_is_missing", name: name])
            end
            if there.key?(name) && same(there[name].first) != same(sql)
              verdict.fault(Core::Messages["store.guarded.trigger_which_guards_log_is_another_one", name: name])
            end
          end
          # Up Tack makes no others.
          (there.keys - AppendOnly.all_triggers.keys).each do |name|
            verdict.fault(
              Core::Messages["store.guarded.there_is_trigger_on_up_tack_did", name: name, there: there[name].last]
            )
          end
        end

        # Earlier versions wrote some of them with other spaces.
        def same(sql) = sql.gsub(/\s+/, " ").strip
      end
    end
  end
end
