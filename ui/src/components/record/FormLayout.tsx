import { type CSSProperties, type ReactNode, useRef } from "react";
import type { Form, FormItem, Table } from "../../api/client";
import { FieldBox } from "./FieldBox";
import { LinkedPanel } from "./LinkedPanel";
import { useCursor } from "./useCursor";
import type { Draft } from "./useDraft";

type Props = {
  table: Table;
  form: Form;
  id: number | null;
  draft: Draft;
  prefix?: string;
  /** Draws the records that link here beneath this one, where the form has them. */
  lines?: ((item: FormItem) => ReactNode) | undefined;
  onEnd?: (() => void) | undefined;
};

/** A form as it is filled in: its sections and what stands in them. Enter and Tab go on as the form says. */
export function FormLayout({ table, form, id, draft, prefix = "", lines, onEnd }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { onKeyDown } = useCursor({ box, form, draft, prefix, onEnd });
  const shown = (item: FormItem) => !item.field || draft.answer?.fields[item.field]?.state.shown !== false;

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys are heard for all inputs inside
    <div ref={box} onKeyDown={onKeyDown} className="flex flex-col gap-4">
      {form.sections.map((section, index) => {
        const columns = section.columns ?? 1;
        return (
          <section
            // biome-ignore lint/suspicious/noArrayIndexKey: a section is known by its place
            key={index}
            aria-label={section.title ?? undefined}
          >
            {section.title && <h2 className="mb-1.5 text-base">{section.title}</h2>}
            <div className="form-grid gap-x-5 gap-y-1.5" style={{ "--columns": columns } as CSSProperties}>
              {section.items.filter(shown).map((item) => (
                <div
                  key={item.field ?? item.panel ?? `${item.lines?.table}.${item.lines?.link}`}
                  className="min-w-0"
                  style={{ "--span": item.lines ? columns : Math.min(item.width ?? 1, columns) } as CSSProperties}
                >
                  <Item {...{ table, id, draft, prefix, item, lines }} />
                </div>
              ))}
            </div>
          </section>
        );
      })}
    </div>
  );
}

type ItemProps = Pick<Props, "table" | "id" | "draft" | "lines"> & { prefix: string; item: FormItem };

function Item({ table, id, draft, prefix, item, lines }: ItemProps) {
  if (item.lines) return lines?.(item) ?? null;
  if (item.panel) return <LinkedPanel table={table} item={item} draft={draft} />;
  const field = table.fields.find((each) => each.key === item.field);
  if (!field) return null;
  return (
    <FieldBox
      table={table.key}
      id={id}
      field={field}
      draft={draft}
      prefix={prefix}
      label={item.label}
      hint={item.hint}
    />
  );
}
