import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { useState } from "react";
import type { Table } from "../../api/client";
import { draggingWords, droppedOn, useDragging } from "../../components/dragging";
import { t } from "../../words";
import type { Opened } from "./Board";
import { BoardRow } from "./BoardRow";

type Props = {
  table: Table;
  narrow: boolean;
  opened: Opened | null;
  open: (what: Opened) => void;
  lit: string | null;
  setLit: (rule: string | null) => void;
  move: (field: string, position: number) => void;
};

/** The heads of the stages and a row for each field. */
export function BoardRows(props: Props) {
  const { table, narrow, move } = props;
  const [at, setAt] = useState<string | null>(null);
  const sensors = useDragging();
  const columns = { gridTemplateColumns: columnWidths(table, narrow) };

  const onDragEnd = (event: DragEndEvent) => {
    const to = droppedOn(event);
    const position = table.fields.findIndex((field) => field.id === to);
    const field = table.fields.find((each) => each.id === event.active.id);
    if (field && position >= 0) move(field.key, position);
  };

  return (
    <div className="sheet @container overflow-x-auto rounded-b-none border-b-0">
      <div className={narrow ? "min-w-[23rem]" : "min-w-[60rem]"}>
        <div className="grid border-base-300 border-b" style={columns}>
          <div className="px-3 py-2 font-semibold text-secondary text-xs uppercase tracking-wide">
            {t("board.field")}
          </div>
          {table.stages.map((stage, index) => (
            <div
              key={stage.key}
              className={`min-w-0 py-2 ${narrow ? "px-1 text-center" : "px-2"}`}
              title={`${stage.label}: ${stage.aim}`}
            >
              <p
                className={`truncate font-semibold text-secondary uppercase
                  ${narrow ? "text-[0.6875rem]" : "text-xs tracking-wide"}`}
              >
                <span className={narrow ? "@min-[38rem]:sr-only" : "mr-1 font-normal opacity-75"}>{index + 1}</span>
                <span className={narrow ? "@max-[38rem]:sr-only" : ""}>{stage.label}</span>
              </p>
              {!narrow && <p className="quiet truncate text-[0.6875rem]">{stage.aim}</p>}
            </div>
          ))}
        </div>
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          accessibility={draggingWords()}
          onDragEnd={onDragEnd}
        >
          <SortableContext items={table.fields.map((field) => field.id)} strategy={verticalListSortingStrategy}>
            {table.fields.map((field, index) => (
              <BoardRow
                key={field.id}
                {...props}
                field={field}
                index={index}
                columns={columns}
                at={at ?? table.fields[0]?.key ?? ""}
                setAt={setAt}
              />
            ))}
          </SortableContext>
        </DndContext>
      </div>
    </div>
  );
}

/** Stages with tacks get more room than bare ones; a narrow board shows shapes only and shares evenly. */
function columnWidths(table: Table, narrow: boolean) {
  if (narrow) return `minmax(7rem, 9rem) repeat(${table.stages.length}, minmax(1.9rem, 1fr))`;
  const used = new Set(table.rules.map((rule) => rule.stage));
  const columns = table.stages.map((stage) => (used.has(stage.key) ? "minmax(0, 1.9fr)" : "minmax(0, 1fr)"));
  return `11rem ${columns.join(" ")}`;
}
