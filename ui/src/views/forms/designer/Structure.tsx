import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { Plus, X } from "lucide-react";
import { type KeyboardEvent, useRef, useState } from "react";
import type { FormItem, FormParts, Mistake, Table } from "../../../api/client";
import { useNames } from "../../../api/queries";
import { draggingWords, droppedOn, useDragging } from "../../../components/dragging";
import { t } from "../../../words";
import { designerKeys } from "../../../words/lists";
import { ItemRow } from "./ItemRow";
import {
  fieldsOn,
  itemKey,
  movedTo,
  type Place,
  stepped,
  withItem,
  withNewItem,
  withNewSection,
  withoutItem,
  withoutSection,
  withSection,
} from "./shape";

type Props = { table: Table; form: FormParts; onChange: (form: FormParts) => void; mistakes: Mistake[] };

/** The sections of a form and what stands in them, dragged or moved by keys. */
export function Structure({ table, form, onChange, mistakes }: Props) {
  const [opened, setOpened] = useState<string | null>(null);
  const [said, setSaid] = useState("");
  const box = useRef<HTMLDivElement>(null);
  const sensors = useDragging();
  const places = new Map<string, Place>();
  form.sections.forEach((section, at) => {
    section.items.forEach((item, index) => {
      places.set(itemKey(item), { section: at, index });
    });
  });

  const focus = (key: string) =>
    requestAnimationFrame(() =>
      box.current?.querySelector<HTMLElement>(`[data-item="${CSS.escape(key)}"] [data-handle]`)?.focus(),
    );

  const onDragEnd = (event: DragEndEvent) => {
    const from = places.get(String(event.active.id));
    const to = places.get(droppedOn(event) ?? "");
    if (from && to) onChange(movedTo(form, from, to));
  };

  const onKeyDown = (event: KeyboardEvent, item: FormItem) => {
    const key = itemKey(item);
    const from = places.get(key);
    if (!from) return;
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (event.altKey && by) {
      event.preventDefault();
      const to = stepped(form, from, by);
      if (!to) return;
      onChange(movedTo(form, from, to));
      setSaid(t("designer.movedTo", { label: label(table, item), section: to.section + 1, place: to.index + 1 }));
      focus(key);
    } else if (by) {
      event.preventDefault();
      const all = [...(box.current?.querySelectorAll<HTMLElement>("[data-handle]") ?? [])];
      all[all.indexOf(event.currentTarget as HTMLElement) + by]?.focus();
    } else if (event.key === "Delete") {
      event.preventDefault();
      const near = [...places.keys()];
      const next = near[near.indexOf(key) + 1] ?? near[near.indexOf(key) - 1];
      onChange(withoutItem(form, from));
      if (next) focus(next);
    } else if (event.altKey && (event.key === "ArrowRight" || event.key === "ArrowLeft")) {
      event.preventDefault();
      const width = Math.max(1, Math.min(4, (item.width ?? 1) + (event.key === "ArrowRight" ? 1 : -1)));
      onChange(withItem(form, from, { width }));
    }
  };

  return (
    <div ref={box} className="flex flex-col gap-4">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={draggingWords()}
        onDragEnd={onDragEnd}
      >
        <SortableContext items={[...places.keys()]} strategy={verticalListSortingStrategy}>
          {form.sections.map((section, at) => (
            <section
              // biome-ignore lint/suspicious/noArrayIndexKey: a section is known by its place
              key={at}
              className="rounded border border-base-300"
              aria-label={t("designer.section", { n: at + 1 })}
            >
              <div className="flex items-center gap-2 border-base-300 border-b px-2.5 py-1.5">
                <input
                  className="input input-sm min-w-0 flex-1"
                  aria-label={t("designer.sectionTitle", { n: at + 1 })}
                  placeholder={t("designer.noTitle")}
                  value={section.title ?? ""}
                  onChange={(event) => onChange(withSection(form, at, { title: event.target.value || null }))}
                />
                <select
                  className="select select-sm w-28"
                  aria-label={t("designer.columns")}
                  value={section.columns ?? 1}
                  onChange={(event) => onChange(withSection(form, at, { columns: Number(event.target.value) }))}
                >
                  {[1, 2, 3, 4].map((columns) => (
                    <option key={columns} value={columns}>
                      {t("designer.columnCount", { count: columns })}
                    </option>
                  ))}
                </select>
                {form.sections.length > 1 && (
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs btn-square"
                    aria-label={t("designer.dropSection", { n: at + 1 })}
                    title={t("designer.dropSection", { n: at + 1 })}
                    onClick={() => onChange(withoutSection(form, at))}
                  >
                    <X size={13} aria-hidden />
                  </button>
                )}
              </div>
              <ul>
                {section.items.map((item, index) => (
                  <ItemRow
                    key={itemKey(item)}
                    table={table}
                    item={item}
                    label={label(table, item)}
                    at={`sections.${at}.items.${index}`}
                    columns={section.columns ?? 1}
                    mistakes={mistakes}
                    opened={opened === itemKey(item)}
                    onOpen={() => setOpened(opened === itemKey(item) ? null : itemKey(item))}
                    onChange={(some) => onChange(withItem(form, { section: at, index }, some))}
                    onRemove={() => onChange(withoutItem(form, { section: at, index }))}
                    onKeyDown={(event) => onKeyDown(event, item)}
                  />
                ))}
              </ul>
              <AddItem table={table} form={form} onAdd={(item) => onChange(withNewItem(form, at, item))} />
            </section>
          ))}
        </SortableContext>
      </DndContext>
      <button type="button" className="btn btn-sm w-fit" onClick={() => onChange(withNewSection(form))}>
        <Plus size={14} aria-hidden />
        {t("designer.addSection")}
      </button>
      <p className="quiet flex flex-wrap gap-x-4 gap-y-1 text-xs">
        {designerKeys().map(([key, does]) => (
          <span key={key} className="flex items-center gap-1.5">
            <kbd className="key">{key}</kbd>
            {does}
          </span>
        ))}
      </p>
      <p className="sr-only" aria-live="polite">
        {said}
      </p>
    </div>
  );
}

function label(table: Table, item: FormItem) {
  if (item.lines) return item.label ?? t("designer.linesOf", { table: item.lines.table });
  const field = table.fields.find((each) => each.key === (item.field ?? item.panel));
  return item.panel
    ? (item.label ?? t("designer.detailsOf", { label: field?.label ?? "" }))
    : (item.label ?? field?.label ?? "");
}

type AddProps = { table: Table; form: FormParts; onAdd: (item: FormItem) => void };

/** Fields that are not on the form yet, details of linked records, and records that link here. */
function AddItem({ table, form, onAdd }: AddProps) {
  const linked = useNames().data?.find((each) => each.key === table.key)?.linked ?? [];
  const names = useNames().data ?? [];
  const placed = fieldsOn(form);
  const taken = form.sections.flatMap((section) => section.items.map(itemKey));
  const free = table.fields.filter((field) => !placed.includes(field.key));
  const panels = table.fields.filter((field) => field.editor === "link" && !taken.includes(`panel:${field.key}`));
  const lines = linked.filter((each) => !taken.includes(`lines:${each.table}.${each.link}`));
  const add = (value: string) => {
    const [kind = "", first = "", second = ""] = value.split("|");
    if (kind === "field") onAdd({ field: first, width: 1 });
    if (kind === "panel") {
      const target = table.fields.find((field) => field.key === first)?.target;
      const fields = names.find((each) => each.key === target)?.fields.slice(0, 3) ?? [];
      onAdd({ panel: first, fields: fields.map((field) => field.key), width: 1 });
    }
    if (kind === "lines") onAdd({ lines: { table: first, link: second }, fields: [], width: 4 });
  };
  return (
    <div className="px-2.5 py-1.5">
      <select
        className="select select-xs w-full"
        aria-label={t("designer.add")}
        value=""
        onChange={(event) => add(event.target.value)}
      >
        <option value="">{t("designer.add")}</option>
        {free.length > 0 && (
          <optgroup label={t("designer.fields")}>
            {free.map((field) => (
              <option key={field.key} value={`field|${field.key}`}>
                {field.label}
              </option>
            ))}
          </optgroup>
        )}
        {panels.length > 0 && (
          <optgroup label={t("designer.details")}>
            {panels.map((field) => (
              <option key={field.key} value={`panel|${field.key}`}>
                {field.label}
              </option>
            ))}
          </optgroup>
        )}
        {lines.length > 0 && (
          <optgroup label={t("designer.lines")}>
            {lines.map((each) => (
              <option key={`${each.table}.${each.link}`} value={`lines|${each.table}|${each.link}`}>
                {each.label}
              </option>
            ))}
          </optgroup>
        )}
      </select>
    </div>
  );
}
