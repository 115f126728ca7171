import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { ChevronDown, ChevronRight, GripVertical, X } from "lucide-react";
import type { KeyboardEvent } from "react";
import type { FormItem, Mistake, Table } from "../../../api/client";
import { sentences, t } from "../../../words";
import { ItemSettings } from "./ItemSettings";
import { itemKey } from "./shape";

type Props = {
  table: Table;
  item: FormItem;
  label: string;
  /** Where it stands, as mistakes name it. */
  at: string;
  columns: number;
  mistakes: Mistake[];
  opened: boolean;
  onOpen: () => void;
  onChange: (some: Partial<FormItem>) => void;
  onRemove: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
};

/** One item of a form's structure; its settings unfold beneath it. */
export function ItemRow(props: Props) {
  const { table, item, label, at, columns, mistakes, opened, onOpen, onChange, onRemove, onKeyDown } = props;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: itemKey(item) });
  const rules = table.rules.filter((rule) => item.field && rule.fields.includes(item.field)).length;
  const wrong = mistakes.some((mistake) => mistake.part?.startsWith(at));
  const extras = [item.carry && t("designer.carries"), item.default && t("designer.begins")].filter(Boolean);
  return (
    <li
      ref={setNodeRef}
      data-item={itemKey(item)}
      data-writes={item.field ? `${table.key}.${item.field}` : undefined}
      className={`border-base-300/70 border-b bg-base-100 ${isDragging ? "relative z-10 shadow-lg" : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className="flex items-center gap-1.5 px-1.5 py-0.5">
        <span {...attributes} {...listeners} tabIndex={-1} className="cursor-grab opacity-50" aria-hidden>
          <GripVertical size={13} />
        </span>
        <button
          type="button"
          data-handle
          aria-expanded={opened}
          className="flex min-w-0 flex-1 items-center gap-1.5 rounded px-1 py-0.5 text-left hover:bg-base-200"
          onClick={onOpen}
          onKeyDown={onKeyDown}
        >
          {opened ? <ChevronDown size={13} aria-hidden /> : <ChevronRight size={13} aria-hidden />}
          <span title={label} className={`truncate ${wrong ? "text-error" : ""}`}>
            {label}
          </span>
          <span className="quiet ml-auto shrink-0 text-xs">
            {[...extras, rules > 0 && t("designer.ruleCount", { count: rules })].filter(Boolean).join(" · ")}
          </span>
        </button>
        {!item.lines && columns > 1 && (
          <select
            className="select select-xs w-20"
            aria-label={t("designer.width", { label })}
            value={Math.min(item.width ?? 1, columns)}
            onChange={(event) => onChange({ width: Number(event.target.value) })}
          >
            {Array.from({ length: columns }, (_, index) => index + 1).map((width) => (
              <option key={width} value={width}>
                {sentences.designer.widths(width, columns)}
              </option>
            ))}
          </select>
        )}
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square"
          aria-label={t("designer.drop", { label })}
          title={t("designer.drop", { label })}
          onClick={onRemove}
        >
          <X size={13} aria-hidden />
        </button>
      </div>
      {opened && <ItemSettings table={table} item={item} at={at} mistakes={mistakes} onChange={onChange} />}
    </li>
  );
}
