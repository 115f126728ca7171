import { Command } from "cmdk";
import { useLocation, useNavigate } from "react-router";
import { useTables } from "../api/queries";
import { useArrived } from "../components/Arriving";
import { t } from "../words";

/** All tables, found by typing; the one that is chosen opens in the view that is open now. */
export default function TableList({ onClose }: { onClose: () => void }) {
  const tables = useTables();
  const navigate = useNavigate();
  const view = useLocation().pathname.split("/")[3] ?? "rules";
  useArrived();
  return (
    <Command className="w-60" label={t("shell.allTables")}>
      <Command.Input autoFocus placeholder={t("shell.allTables")} className="input input-sm mb-1 w-full" />
      <Command.List className="max-h-72 overflow-auto">
        <Command.Empty className="quiet px-2 py-1">{t("shell.nothingFound")}</Command.Empty>
        {tables.data?.map((each) => (
          <Command.Item
            key={each.key}
            value={each.label}
            onSelect={() => {
              onClose();
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
  );
}
