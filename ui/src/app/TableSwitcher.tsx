import { Command } from "cmdk";
import { ChevronDown } from "lucide-react";
import { useLocation, useNavigate } from "react-router";
import type { Table } from "../api/client";
import { useTables } from "../api/queries";
import { Popover } from "../components/Popover";
import { t } from "../words";

/** The table's name; opens a list of the others, found by typing. */
export function TableSwitcher({ table }: { table: Table }) {
  const tables = useTables();
  const navigate = useNavigate();
  const view = useLocation().pathname.split("/")[3] ?? "rules";
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
        <Command className="w-60" label={t("shell.allTables")}>
          <Command.Input autoFocus placeholder={t("shell.allTables")} className="input input-sm mb-1 w-full" />
          <Command.List className="max-h-72 overflow-auto">
            <Command.Empty className="quiet px-2 py-1">{t("shell.nothingFound")}</Command.Empty>
            {tables.data?.map((each) => (
              <Command.Item
                key={each.key}
                value={each.label}
                onSelect={() => {
                  close();
                  navigate(`/t/${each.key}/${view}`);
                }}
                className="flex cursor-pointer justify-between rounded px-2 py-1.5 data-[selected=true]:bg-base-200"
              >
                <span className="truncate">{each.label}</span>
                <span className="quiet text-xs">{t("overview.records", { count: each.records })}</span>
              </Command.Item>
            ))}
          </Command.List>
        </Command>
      )}
    </Popover>
  );
}
