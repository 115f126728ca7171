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
            verdict.fault("The trigger #{name}, which guards the log, is missing.") unless there.key?(name)
            if there.key?(name) && same(there[name].first) != same(sql)
              verdict.fault("The trigger #{name}, which guards the log, is another one.")
            end
          end
          # Up Tack makes no others.
          (there.keys - AppendOnly.all_triggers.keys).each do |name|
            verdict.fault("There is a trigger #{name} on #{there[name].last} that Up Tack did not make.")
          end
        end

        # Earlier versions wrote some of them with other spaces.
        def same(sql) = sql.gsub(/\s+/, " ").strip
      end
    end
  end
end
