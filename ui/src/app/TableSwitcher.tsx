import { ChevronDown } from "lucide-react";
import { lazy } from "react";
import type { Table } from "../api/client";
import { Arriving } from "../components/Arriving";
import { Popover } from "../components/Popover";
import { t } from "../words";

const TableList = lazy(() => import("./TableList"));

/** The table's name; opens a list of the others. */
export function TableSwitcher({ table }: { table: Table }) {
  return (
    <Popover
      label={
        <span className="flex items-center gap-1 font-medium">
          <span className="max-w-40 truncate">{table.label}</span>
          <ChevronDown size={14} aria-hidden />
        </span>
      }
      name={t("shell.allTables")}
      className="rounded px-1 py-0.5 hover:bg-white/10"
    >
      {(close) => (
        <Arriving>
          <TableList onClose={close} />
        </Arriving>
      )}
    </Popover>
  );
}
