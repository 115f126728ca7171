import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, PencilLine, Plus } from "lucide-react";
import type { CSSProperties } from "react";
import type { Field, Rule, RuleParts, Stage, Table } from "../../api/client";
import { useProofs } from "../../api/proofs";
import { useOpenCounts } from "../../api/queries";
import { usePermissions } from "../../app/usePermissions";
import { editPlace, useEditPlaces } from "../../components/edits";
import { lowerFirst } from "../../components/lowerFirst";
import { t } from "../../words";
import type { Opened } from "./Board";
import { Tack } from "./Tack";

type Props = {
  table: Table;
  field: Field;
  index: number;
  columns: CSSProperties;
  narrow: boolean;
  opened: Opened | null;
  open: (what: Opened) => void;
  lit: string | null;
  setLit: (rule: string | null) => void;
  at: string;
  setAt: (stop: string) => void;
};

/** A field: its name, and its thread through the stages with the tacks on it. */
export function BoardRow(props: Props) {
  const { table, field, index, columns, narrow, opened, open, lit, at, setAt } = props;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: field.id });
  const litHere = table.rules.some(
    (rule) => rule.id === lit && rule.fields.length > 1 && rule.fields.includes(field.key),
  );
  const openHere = opened && "field" in opened && !("stage" in opened) && opened.field === field.key;
  const may = usePermissions();
  const begun = useEditPlaces().has(editPlace.field(table.id, field.id));

  return (
    <div
      ref={setNodeRef}
      data-row={index}
      data-writes={`${table.key}.${field.key}`}
      className={`group/row relative grid min-h-11 border-base-300/70 border-b bg-base-100
        ${isDragging ? "z-10 shadow-lg" : ""}`}
      style={{ ...columns, transform: CSS.Translate.toString(transform), transition }}
    >
      <div
        className={`thread pointer-events-none absolute inset-y-0 right-2 ${narrow ? "left-[8.5rem]" : "left-[11rem]"}`}
        aria-hidden
      />
      <div className={`flex min-w-0 items-center ${litHere ? "bg-[var(--tint-lit)]" : ""}`}>
        <button
          type="button"
          disabled={!may.design}
          {...attributes}
          {...listeners}
          tabIndex={-1}
          title={t("board.moveHandle", { label: field.label })}
          className={`pl-0.5 opacity-0 ${may.design ? "cursor-grab group-hover/row:opacity-60" : ""}`}
        >
          <GripVertical size={12} aria-hidden />
        </button>
        <button
          type="button"
          data-stop
          data-column={0}
          data-field={field.key}
          tabIndex={at === field.key ? 0 : -1}
          onFocus={() => setAt(field.key)}
          onClick={() => open({ field: field.key })}
          className={`-ml-1 min-w-0 flex-1 rounded py-1 pr-2 pl-1 text-left
            ${openHere ? "bg-base-200" : "hover:bg-base-200"}`}
          title={[field.label, field.note].filter(Boolean).join("\n")}
          aria-label={`${field.label} ${lowerFirst(field.type_label)}${begun ? ` ${t("drafts.short")}` : ""}`}
        >
          <span className="block truncate font-semibold leading-tight">{field.label}</span>{" "}
          <span className="quiet block text-xs leading-tight">
            {lowerFirst(field.type_label)}{" "}
            {begun && (
              <span className="ml-1.5 rounded border border-secondary border-dashed px-1 text-secondary">
                {t("drafts.short")}
              </span>
            )}
          </span>
        </button>
      </div>
      {table.stages.map((stage, column) => (
        <Cell key={stage.key} {...props} stage={stage} column={column + 1} />
      ))}
    </div>
  );
}

/** Labels of the fields that a rule sets when this one changes; none where it sets this one. */
function movedBy(table: Table, rule: Rule, field: Field): string[] {
  const parts: RuleParts = rule.parts;
  const sets = parts.sets?.map((set) => set.field) ?? parts.outputs ?? [];
  if (sets.includes(field.key)) return [];
  return sets.map((key) => table.fields.find((each) => each.key === key)?.label ?? key);
}

/** A place without a rule beside others, seen by whoever points there. */
const SHY = "opacity-0 group-hover/cell:opacity-80";
/** The place of a rule that is half written: dashed, with the word. */
const BEGUN =
  "grid min-h-6 place-items-center rounded border border-b-2 border-secondary border-dashed bg-base-100 px-1.5 " +
  "py-0.5 text-secondary text-xs";

function Cell({
  table,
  field,
  stage,
  column,
  narrow,
  opened,
  open,
  lit,
  setLit,
  at,
  setAt,
}: Props & { stage: Stage; column: number }) {
  const may = usePermissions();
  const openCounts =
    useOpenCounts(
      table.key,
      table.rules.some((rule) => rule.lets_old),
    ).data ?? {};
  const covered = useProofs(may.design).data?.coverage;
  const rules = table.rules.filter((rule) => rule.stages.includes(stage.key) && rule.fields.includes(field.key));
  const drafts = useEditPlaces();
  const begun = drafts.has(editPlace.newRule(table.id, field.id, stage.key));
  const single = ["default", "mask"].includes(stage.key) && rules.length > 0;
  const stop = `${field.key}/${stage.key}`;
  const openHere = opened && "stage" in opened && opened.field === field.key && opened.stage === stage.key;

  const pin = t("board.pin", { stage: stage.label, field: field.label });
  return (
    <div
      className={`group/cell relative flex min-w-0 items-center gap-1 py-1
        ${narrow ? "flex-wrap justify-center px-0.5" : "flex-col items-start justify-center px-1.5"}`}
    >
      {rules.map((rule) => (
        <Tack
          key={rule.id}
          rule={rule}
          open={openCounts[rule.id] ?? 0}
          draft={drafts.has(editPlace.rule(table.id, rule.id))}
          moves={movedBy(table, rule, field)}
          proven={covered?.find((each) => each.rule === rule.id)?.state}
          field={field.key}
          column={column}
          narrow={narrow}
          isOpen={Boolean(opened && "rule" in opened && opened.rule === rule.id)}
          isLit={lit === rule.id}
          tabIndex={at === `${field.key}/${rule.id}` ? 0 : -1}
          onFocus={() => {
            setAt(`${field.key}/${rule.id}`);
            setLit(rule.id);
          }}
          onLeave={() => setLit(null)}
          onPoint={() => setLit(rule.id)}
          onOpen={() => open({ rule: rule.id })}
        />
      ))}
      {may.design && stage.kinds.some((kind) => field.kinds.includes(kind)) && !single && (
        <button
          type="button"
          data-stop
          data-column={column}
          data-field={field.key}
          data-stage={stage.key}
          tabIndex={at === stop ? 0 : -1}
          onFocus={() => setAt(stop)}
          onClick={() => open({ field: field.key, stage: stage.key })}
          title={pin}
          aria-label={begun ? `${t("drafts.short")}: ${pin}` : pin}
          className={
            begun
              ? BEGUN
              : `grid place-items-center rounded border border-secondary border-dashed bg-base-100 text-secondary
                hover:opacity-100 focus-visible:opacity-100
                ${openHere ? "opacity-100" : table.rules.length === 0 ? "opacity-60" : SHY}
                ${rules.length > 0 && !narrow ? "absolute top-1 right-1 size-5" : "size-6"}
                ${rules.length > 0 && narrow && !openHere ? "sr-only focus-visible:not-sr-only" : ""}`
          }
        >
          {begun ? (
            narrow ? (
              <PencilLine size={13} aria-label={t("drafts.short")} />
            ) : (
              t("drafts.short")
            )
          ) : (
            <Plus size={13} aria-hidden />
          )}
        </button>
      )}
    </div>
  );
}
