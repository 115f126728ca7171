import { Settings2 } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Table } from "../../api/client";
import { useProofs } from "../../api/proofs";
import { useTableHere } from "../../app/TableFrame";
import { usePermissions } from "../../app/usePermissions";
import { sentences, t } from "../../words";
import { boardKeys } from "../../words/lists";
import { AddField } from "./AddField";
import { BoardRows } from "./BoardRows";
import { FieldPanel } from "./FieldPanel";
import { FieldRemoval } from "./FieldRemoval";
import { Legend } from "./Legend";
import { ReadPanel } from "./ReadPanel";
import { RulePanel } from "./RulePanel";
import { TablePanel } from "./TablePanel";
import { useBoardKeys } from "./useBoardKeys";
import { useFieldMoves } from "./useFieldMoves";

/** What is open at the side: a field, a rule, or a rule about to be pinned. */
export type Opened = { field: string } | { rule: string } | { field: string; stage: string } | { settings: "yes" };

/** Fields against stages, the rules pinned where they act. */
export default function Board() {
  const table = useTableHere();
  const [params, setParams] = useSearchParams();
  const [lit, setLit] = useState<string | null>(null);
  const [removing, setRemoving] = useState<string | null>(null);
  const board = useRef<HTMLDivElement>(null);
  const opened = useMemo(() => openedFrom(params), [params]);
  const open = (what: Opened | null) => setParams(what ?? {}, { replace: true });
  const { move, moved } = useFieldMoves(table);
  const onKeyDown = useBoardKeys({ table, move, remove: setRemoving });

  const rule = opened && "rule" in opened ? table.rules.find((each) => each.id === opened.rule) : undefined;
  const field = opened && "field" in opened ? table.fields.find((each) => each.key === opened.field) : undefined;
  const stage = opened && "stage" in opened ? table.stages.find((each) => each.key === opened.stage) : undefined;
  const settings = opened && "settings" in opened;
  const may = usePermissions();
  const panel = rule || field || settings;

  const close = () => {
    const stop = lastStop(opened);
    open(null);
    // The focus goes back to where the panel was opened from.
    requestAnimationFrame(() => board.current?.querySelector<HTMLElement>(stop)?.focus());
  };

  return (
    <div className="flex h-full">
      <div className="relative min-w-0 flex-1 overflow-auto px-5 pt-5 pb-8">
        <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
          <div className="min-w-0 flex-1 basis-72">
            <h1 className="break-words text-2xl">{table.label}</h1>
            {table.note && <p>{table.note}</p>}
            <p className="quiet">{table.rules.length === 0 ? t("board.empty") : t("board.aim")}</p>
          </div>
          {!panel && may.design && (
            <>
              <Proven table={table} />
              <button type="button" className="btn btn-ghost btn-sm" onClick={() => open({ settings: "yes" })}>
                <Settings2 size={15} aria-hidden />
                {t("board.table")}
              </button>
            </>
          )}
          {!panel && table.rules.length > 0 && <Legend />}
          {!panel && may.design && (
            <Link to="../bench" className="btn btn-primary btn-sm">
              {t("board.tryRecord")}
            </Link>
          )}
        </div>
        {/* biome-ignore lint/a11y/noStaticElementInteractions: arrow keys move among the buttons inside */}
        <div ref={board} onKeyDown={onKeyDown}>
          <BoardRows
            table={table}
            narrow={Boolean(panel)}
            opened={opened}
            open={open}
            lit={rule?.id ?? lit}
            setLit={setLit}
            move={move}
          />
          {may.design && <AddField table={table} />}
        </div>
        <p className="sr-only" aria-live="polite">
          {moved}
        </p>
        <p className="quiet mt-3 flex flex-wrap gap-x-4 gap-y-1 text-xs max-sm:hidden">
          {boardKeys().map(([key, does]) => (
            <span key={key} className="flex items-center gap-1.5">
              <kbd className="key">{key}</kbd>
              {does}
            </span>
          ))}
        </p>
      </div>
      {!may.design && (rule || field) && (
        <ReadPanel key={rule?.id ?? field?.id} table={table} rule={rule} field={field} onClose={close} />
      )}
      {may.design && settings && <TablePanel table={table} onClose={close} />}
      {may.design && rule && (
        <RulePanel key={rule.id} table={table} rule={rule} field={rule.field} stage={rule.stage} onClose={close} />
      )}
      {may.design && field && stage && (
        <RulePanel
          key={`${field.key}-${stage.key}`}
          table={table}
          field={field.key}
          stage={stage.key}
          onClose={close}
          onPinned={(id) => open({ rule: id })}
        />
      )}
      {may.design && field && !stage && (
        <FieldPanel
          key={field.id}
          table={table}
          field={field}
          onClose={close}
          onRemove={() => setRemoving(field.key)}
          onRenamed={(key) => open({ field: key })}
        />
      )}
      {removing && (
        <FieldRemoval
          table={table}
          field={removing}
          onClose={() => setRemoving(null)}
          onRemoved={() => {
            setRemoving(null);
            open(null);
          }}
        />
      )}
    </div>
  );
}

/** How many rules of the table are proven, on the way to the bench. */
function Proven({ table }: { table: Table }) {
  const covered = useProofs().data?.coverage.filter((each) => each.table === table.key) ?? [];
  const count = (state: string) => covered.filter((each) => each.state === state).length;
  const said =
    covered.length === 0
      ? t("board.ruleCount", { count: table.rules.length })
      : sentences.proofs.board(count("proven"), covered.length, count("broken"));
  return <span className="quiet text-xs max-sm:hidden">{said}</span>;
}

function openedFrom(params: URLSearchParams): Opened | null {
  const rule = params.get("rule");
  const field = params.get("field");
  const stage = params.get("stage");
  if (params.get("settings")) return { settings: "yes" };
  if (rule) return { rule };
  if (field) return stage ? { field, stage } : { field };
  return null;
}

function lastStop(opened: Opened | null): string {
  if (!opened || "settings" in opened) return "[data-stop]";
  if ("rule" in opened) return `[data-rule="${opened.rule}"]`;
  return "stage" in opened
    ? `[data-field="${opened.field}"][data-stage="${opened.stage}"]`
    : `[data-field="${opened.field}"]`;
}
