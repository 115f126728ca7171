import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { api, data } from "../api/client";
import { useProofs } from "../api/proofs";
import { findMatches, useSession, useTables } from "../api/queries";
import { queryKeys } from "../api/queryKeys";
import { useArrived } from "../components/Arriving";
import { Dialog } from "../components/Dialog";
import { useDebounced } from "../components/useDebounced";
import { viewPath } from "../views/records/sorting";
import { group, t } from "../words";
import { ranked } from "./ranking";
import { useDesignUndo } from "./useDesignUndo";
import { usePermissions } from "./usePermissions";

type Kind = "view" | "field" | "rule" | "form" | "proof" | "record" | "command";
type Found = { id: string; kind: Kind; label: string; detail?: string; go: () => void };

/** Lines shown, and records of one table among them. */
const MOST = 60;
const MOST_RECORDS = 8;
/** Milliseconds without a keystroke after which records are looked for. */
const PAUSE = 120;

type Props = {
  onClose: () => void;
  /** Where the cursor was, to which it goes back. */
  from: Element | null;
};

/** Finds any table, view, field, rule, record or command by typing. */
export default function Palette({ onClose, from }: Props) {
  const navigate = useNavigate();
  const { undo, redo } = useDesignUndo();
  const session = useSession();
  const may = usePermissions();
  const tables = useTables();
  const proofs = useProofs(may.design);
  const inside = useQuery({
    queryKey: queryKeys.palette(tables.data?.map((table) => table.key)),
    enabled: tables.data !== undefined,
    queryFn: () =>
      Promise.all(
        (tables.data ?? []).map((table) =>
          data(api.GET("/api/tables/{table}", { params: { path: { table: table.key } } })),
        ),
      ),
  });
  const [typed, setTyped] = useState("");
  const text = useDebounced(typed.trim(), PAUSE);
  // Records are found by the server, among any number of them.
  const records = useQuery({
    queryKey: queryKeys.paletteRecords(
      text,
      tables.data?.map((table) => table.key),
    ),
    enabled: text !== "" && tables.data !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      Promise.all(
        (tables.data ?? []).map(async (table) =>
          (await findMatches(table.key, text, signal)).slice(0, MOST_RECORDS).map((match) => ({ table, match })),
        ),
      ),
  });
  const list = useRef<HTMLDivElement>(null);
  useArrived();
  useEffect(
    () => () => {
      if (document.activeElement === document.body && from instanceof HTMLElement) from.focus();
    },
    [from],
  );
  const [chosen, setChosen] = useState("");

  const found: Found[] = [];
  const add = (kind: Kind, id: string, label: string, to: string, detail?: string) =>
    found.push({ id, kind, label, detail, go: () => navigate(to) });
  for (const table of inside.data ?? []) {
    for (const [view, label] of group("views").filter(([view]) => may.design || view !== "bench"))
      add("view", `v-${table.id}-${view}`, `${table.label}: ${label}`, `/t/${table.key}/${view}`);
    if (may.edit)
      add("view", `v-${table.id}-import`, t("imports.title", { table: table.label }), `/t/${table.key}/import`);
    if (may.edit)
      add("view", `v-${table.id}-tidy`, t("tidyReview.title", { table: table.label }), `/t/${table.key}/tidy`);
    for (const field of table.fields)
      add("field", field.id, field.label, `/t/${table.key}/rules?field=${field.key}`, table.label);
    for (const rule of table.rules)
      add("rule", rule.id, rule.sentence, `/t/${table.key}/rules?rule=${rule.id}`, table.label);
    for (const form of table.forms.filter((each) => each.id !== "all"))
      add("form", form.id, form.name, `/t/${table.key}/forms?form=${form.id}`, table.label);
    for (const filter of table.filters) add("view", filter.id, filter.name, viewPath(table, filter), table.label);
  }
  for (const proof of proofs.data?.proofs ?? [])
    add("proof", proof.id, proof.name, `/t/${proof.table}/bench?proof=${proof.id}`, t(`proofs.states.${proof.state}`));
  add("command", "c-all", t("shell.allTables"), "/");
  add("command", "c-outbox", t("outbox.title"), "/outbox");
  add("command", "c-sheet", t("sheet.name"), "/sheet");
  add("command", "c-language", t("language.title"), "/language");
  add("command", "c-api", t("docs.title"), "/api");
  if (may.design) add("command", "c-backups", t("care.title"), "/backups");
  if (may.design) add("command", "c-space", t("space.title"), "/space");
  if (may.design) add("command", "c-import", t("imports.newTitle"), "/import");
  if (may.design) add("command", "c-people", t("people.title"), "/people");
  if (may.design)
    found.push({ id: "c-undo", kind: "command", label: t("shell.undo"), detail: session.data?.undo ?? "", go: undo });
  if (may.design)
    found.push({ id: "c-redo", kind: "command", label: t("shell.redo"), detail: session.data?.redo ?? "", go: redo });

  const own = ranked(found, typed, (each) => `${each.label} ${each.detail ?? ""}`, MOST);
  const theirs = (typed.trim() === "" ? [] : (records.data ?? []).flat()).map(
    ({ table, match }): Found => ({
      id: `record-${table.key}-${match.id}`,
      kind: "record",
      label: [match.title, ...match.details.slice(0, 2)].filter(Boolean).join(" · "),
      detail: table.label,
      go: () => navigate(`/t/${table.key}/forms/${match.id}`),
    }),
  );
  const shown = ranked([...own, ...theirs], typed, (each) => each.label, MOST);
  for (const each of [...own, ...theirs]) if (shown.length < MOST && !shown.includes(each)) shown.push(each);
  const first = shown[0]?.id ?? "";
  // Each key begins anew at the best match.
  // biome-ignore lint/correctness/useExhaustiveDependencies: at each key, and when what is found first is another
  useEffect(() => {
    setChosen(first);
    list.current?.scrollTo({ top: 0 });
  }, [typed, first]);

  return (
    <Dialog title={t("shell.find")} onClose={onClose}>
      <Command label={t("shell.findHint")} loop shouldFilter={false} value={chosen} onValueChange={setChosen}>
        <Command.Input
          autoFocus
          placeholder={t("shell.findHint")}
          value={typed}
          onValueChange={setTyped}
          className="input mb-2 w-full"
        />
        <Command.List ref={list} label={t("shell.find")} className="h-80 overflow-auto">
          <Command.Empty className="quiet px-2 py-4">
            {inside.isPending || records.isFetching ? t("common.loading") : t("shell.nothingFound")}
          </Command.Empty>
          {shown.map((each) => (
            <Command.Item
              key={each.id}
              value={each.id}
              onSelect={() => {
                onClose();
                each.go();
              }}
              className="flex cursor-pointer items-baseline gap-3 rounded px-2 py-1.5 data-[selected=true]:bg-base-200"
            >
              <span className="quiet w-16 shrink-0 text-xs">{t(`palette.kinds.${each.kind}`)}</span>
              <span className="flex-1 truncate">{each.label}</span>
              <span className="quiet max-w-44 truncate text-xs">{each.detail}</span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Dialog>
  );
}
