import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Columns3, GripVertical, Pin } from "lucide-react";
import type { Column, Table } from "../../api/client";
import { draggingWords, droppedOn, useDragging } from "../../components/dragging";
import { Popover } from "../../components/Popover";
import { t } from "../../words";
import type { useLayout } from "./useLayout";

type Props = { table: Table; layout: ReturnType<typeof useLayout> };

/** Which columns are shown, in which order, and which of them stay in sight. */
export function ColumnsMenu({ table, layout }: Props) {
  const sensors = useDragging(true);
  const onDragEnd = (event: DragEndEvent) => {
    const ids = layout.layout.map((column) => column.field);
    const to = droppedOn(event);
    if (to !== null) layout.put(arrayMove(layout.layout, ids.indexOf(String(event.active.id)), ids.indexOf(to)));
  };
  const hidden = layout.layout.filter((column) => column.hidden).length;
  return (
    <Popover
      name={t("grid.columns")}
      align="right"
      className="btn btn-sm"
      label={
        <>
          <Columns3 size={14} aria-hidden />
          {t("grid.columns")}
          {hidden > 0 && <span className="quiet tabular-nums">{`${layout.shown.length}/${layout.layout.length}`}</span>}
        </>
      }
    >
      {() => (
        <div className="w-72">
          <p className="quiet mb-1 px-1 text-xs">{t("grid.columnsAim")}</p>
          <DndContext
            sensors={sensors}
            collisionDetection={closestCenter}
            accessibility={draggingWords()}
            onDragEnd={onDragEnd}
          >
            <SortableContext items={layout.layout.map((column) => column.field)} strategy={verticalListSortingStrategy}>
              <ul className="max-h-[55vh] overflow-auto">
                {layout.layout.map((column) => (
                  <Line key={column.field} table={table} column={column} onChange={layout.change} />
                ))}
              </ul>
            </SortableContext>
          </DndContext>
          {!layout.isUsual && (
            <button type="button" className="link mt-1 px-1 text-xs" onClick={() => layout.put(null)}>
              {t("grid.usual")}
            </button>
          )}
        </div>
      )}
    </Popover>
  );
}

type LineProps = { table: Table; column: Column; onChange: (field: string, parts: Partial<Column>) => void };

function Line({ table, column, onChange }: LineProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: column.field });
  const label = table.fields.find((field) => field.id === column.field)?.label ?? "";
  return (
    <li
      ref={setNodeRef}
      className="flex items-center gap-2 rounded bg-base-100 px-1 py-0.5 hover:bg-base-200"
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        className="quiet cursor-grab"
        {...attributes}
        {...listeners}
        aria-label={t("grid.moveColumn", { label })}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <label className="flex min-w-0 flex-1 items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          aria-label={t("grid.showColumn", { label })}
          checked={!column.hidden}
          onChange={(event) => onChange(column.field, { hidden: event.target.checked ? undefined : true })}
        />
        <span className="truncate">{label}</span>
      </label>
      <button
        type="button"
        aria-pressed={Boolean(column.frozen)}
        title={column.frozen ? t("grid.release", { label }) : t("grid.hold", { label })}
        aria-label={column.frozen ? t("grid.release", { label }) : t("grid.hold", { label })}
        className={`rounded p-0.5 ${column.frozen ? "text-secondary" : "quiet opacity-50"}`}
        onClick={() => onChange(column.field, { frozen: column.frozen ? undefined : true })}
      >
        <Pin size={14} aria-hidden className={column.frozen ? "fill-current" : ""} />
      </button>
    </li>
  );
}
