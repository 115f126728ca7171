import type { Form, FormItem, FormParts, FormSection, Table } from "../../../api/client";

/** Where an item stands: its section and its place there. */
export type Place = { section: number; index: number };

/** The parts of a form that are designed; what the server only tells is left out. */
export function partsOf(form: Form): FormParts {
  const { name, note, order, jumps, skip_filled, buttons } = form;
  const sections = form.sections.map((section) => ({
    ...section,
    items: section.items.map(({ table: _told, ...item }) => item),
  }));
  return { name, note, order, jumps, skip_filled, buttons, sections };
}

/** What a new form begins with: all fields that people fill in, two columns. */
export function beginning(table: Table, name: string): FormParts {
  const fields = table.fields.filter((field) => !field.given);
  return {
    name,
    note: null,
    order: null,
    jumps: [],
    skip_filled: true,
    buttons: ["copy", "next", "save_next"],
    sections: [
      {
        title: null,
        columns: 2,
        items: fields.map((field) => ({ field: field.key, width: field.editor === "area" ? 2 : 1 })),
      },
    ],
  };
}

export const itemKey = (item: FormItem) =>
  item.field ?? (item.panel ? `panel:${item.panel}` : `lines:${item.lines?.table}.${item.lines?.link}`);

export const fieldsOn = (form: FormParts) =>
  form.sections.flatMap((section) => section.items.flatMap((item) => item.field ?? []));

const withSections = (form: FormParts, sections: FormSection[]): FormParts => ({ ...form, sections });

export const withSection = (form: FormParts, section: number, some: Partial<FormSection>) =>
  withSections(
    form,
    form.sections.map((each, at) => (at === section ? { ...each, ...some } : each)),
  );

export const withItem = (form: FormParts, place: Place, some: Partial<FormItem>) =>
  withSection(form, place.section, {
    items: (form.sections[place.section]?.items ?? []).map((item, at) =>
      at === place.index ? { ...item, ...some } : item,
    ),
  });

export const withNewItem = (form: FormParts, section: number, item: FormItem) =>
  withSection(form, section, { items: [...(form.sections[section]?.items ?? []), item] });

export function withoutItem(form: FormParts, place: Place): FormParts {
  const gone = form.sections[place.section]?.items[place.index]?.field;
  const next = withSection(form, place.section, {
    items: (form.sections[place.section]?.items ?? []).filter((_, at) => at !== place.index),
  });
  return {
    ...next,
    order: next.order?.filter((key) => key !== gone) ?? null,
    jumps: (next.jumps ?? []).filter((jump) => gone === undefined || (jump.after !== gone && jump.to !== gone)),
  };
}

export const withNewSection = (form: FormParts) =>
  withSections(form, [...form.sections, { title: null, columns: 2, items: [] }]);

/** Without a section; what stood in it goes to the one before. */
export function withoutSection(form: FormParts, section: number): FormParts {
  const items = form.sections[section]?.items ?? [];
  const rest = form.sections.filter((_, at) => at !== section);
  const heir = Math.max(0, section - 1);
  return withSections(
    form,
    rest.map((each, at) => (at === heir ? { ...each, items: [...each.items, ...items] } : each)),
  );
}

/** An item taken to another place, in its section or in another one. */
export function movedTo(form: FormParts, from: Place, to: Place): FormParts {
  const item = form.sections[from.section]?.items[from.index];
  if (!item) return form;
  const sections = form.sections.map((section) => ({ ...section, items: [...section.items] }));
  sections[from.section]?.items.splice(from.index, 1);
  sections[to.section]?.items.splice(to.index, 0, item);
  return withSections(form, sections);
}

/** One step up or down, over the ends of sections too; the place where it is then. */
export function stepped(form: FormParts, from: Place, by: number): Place | null {
  const length = form.sections[from.section]?.items.length ?? 0;
  const index = from.index + by;
  if (index >= 0 && index < length) return { section: from.section, index };
  const section = from.section + by;
  const other = form.sections[section];
  if (!other) return null;
  return { section, index: by > 0 ? 0 : other.items.length };
}
