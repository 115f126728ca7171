import type { Table } from "../../api/client";
import { useRenameTable } from "../../api/queries";
import { editPlace, useEdit } from "../../components/edits";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";
import { AccessParts } from "./AccessParts";
import { DraftBar } from "./DraftBar";
import { FormerKeys } from "./FormerKeys";
import { Panel } from "./Panel";

type Mode = "all" | "only" | "all_but";
type Settings = { note: string; access: Table["access"]; mode: Mode; picked: string[]; aliases: string[] };
type Props = { table: Table; onClose: () => void };

/** The table itself: its note, who may do what with it, and what of it the change log watches. */
export function TablePanel({ table, onClose }: Props) {
  const change = useRenameTable();
  const edit = useEdit<Settings>(editPlace.table(table.id), {
    note: table.note ?? "",
    access: table.access,
    mode: table.log?.only ? "only" : table.log?.all_but ? "all_but" : "all",
    picked: table.log?.only ?? table.log?.all_but ?? [],
    aliases: table.aliases,
  });
  const { note, access, mode, picked, aliases } = edit.value;
  const set = (some: Partial<Settings>) => edit.change((now) => ({ ...now, ...some }));
  const toggle = (id: string) =>
    set({ picked: picked.includes(id) ? picked.filter((each) => each !== id) : [...picked, id] });
  const end = () => {
    edit.done();
    onClose();
  };
  const save = () =>
    change.mutate(
      { table: table.key, note, access, aliases, log: mode === "all" ? null : { [mode]: picked } },
      { onSuccess: end },
    );
  return (
    <Panel
      name={t("board.settings", { table: table.label })}
      above={t("board.table")}
      guide="permissions"
      title={table.label}
      onClose={onClose}
      onSave={save}
      refused={change.error ? [{ message: change.error.message }] : []}
      note={edit.dirty && <DraftBar overtaken={edit.overtaken} onDrop={end} />}
      footer={
        <button type="button" className="btn btn-primary btn-sm" onClick={save} disabled={change.isPending}>
          {t("common.save")}
          <kbd className="text-[0.6875rem] opacity-75">Ctrl Enter</kbd>
        </button>
      }
    >
      <label className="flex flex-col gap-1 font-semibold">
        {t("fieldPanel.note")}
        <textarea
          data-first
          className="textarea w-full font-normal"
          rows={2}
          value={note}
          onChange={(event) => set({ note: event.target.value })}
        />
      </label>
      <p className="quiet text-xs">{table.sentence}</p>
      <FormerKeys keys={aliases} onChange={(kept) => set({ aliases: kept })} />
      <AccessParts of="table" value={access} onChange={(next) => set({ access: next })} />
      <p className="quiet -mt-2 text-xs">{t("access.builders")}</p>
      <div className="flex flex-col gap-2">
        <span className="font-semibold">{t("logging.watched")}</span>
        <SegmentedControl
          name={t("logging.watched")}
          value={mode}
          options={[
            ["all", t("logging.all")],
            ["all_but", t("logging.all_but")],
            ["only", t("logging.only")],
          ]}
          onChange={(next) => set({ mode: next })}
        />
        {mode !== "all" && (
          <div
            className="grid max-h-56 grid-cols-2 gap-x-3 gap-y-1 overflow-auto rounded border border-base-300
            px-2.5 py-2"
          >
            {table.fields
              .filter((field) => field.kept)
              .map((field) => (
                <label key={field.id} className="flex min-w-0 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={picked.includes(field.id)}
                    onChange={() => toggle(field.id)}
                  />
                  <span className="truncate">{field.label}</span>
                </label>
              ))}
          </div>
        )}
        <p className="quiet text-xs">{t("logging.watchHint")}</p>
      </div>
    </Panel>
  );
}
