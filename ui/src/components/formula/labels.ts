import { forEachDiagnostic } from "@codemirror/lint";
import { type EditorState, type Extension, RangeSetBuilder } from "@codemirror/state";
import { Decoration, type DecorationSet, EditorView, ViewPlugin, type ViewUpdate, WidgetType } from "@codemirror/view";
import { t } from "../../words";
import { type AllNames, type Field, isSource, linkedLabels, namesIn, resolve, tableAt } from "./places";

class Label extends WidgetType {
  constructor(
    readonly label: string,
    readonly key: string,
  ) {
    super();
  }
  eq(other: Label) {
    return other.label === this.label && other.key === this.key;
  }
  toDOM() {
    const element = document.createElement("span");
    element.className = "cm-label";
    element.textContent = this.label;
    element.title = this.key;
    return element;
  }
  ignoreEvent() {
    return false;
  }
}

/** Shows fields by their labels; the text keeps the keys. The name at the cursor stands as it is typed. */
export function labels(home: string, names: AllNames): Extension {
  const plugin = ViewPlugin.fromClass(
    class {
      shown: DecorationSet;
      constructor(view: EditorView) {
        this.shown = build(view.state, view.hasFocus, home, names);
      }
      update(update: ViewUpdate) {
        if (update.transactions.length > 0 || update.focusChanged) {
          this.shown = build(update.state, update.view.hasFocus, home, names);
        }
      }
    },
    { decorations: (value) => value.shown },
  );
  return [plugin, EditorView.atomicRanges.of((view) => view.plugin(plugin)?.shown ?? Decoration.none)];
}

function build(state: EditorState, focused: boolean, home: string, names: AllNames): DecorationSet {
  const text = state.doc.toString();
  const builder = new RangeSetBuilder<Decoration>();
  // A mistake is underlined at what was written, so that stands as it is.
  const mistaken: { from: number; to: number }[] = [];
  forEachDiagnostic(state, (_, from, to) => mistaken.push({ from, to }));
  for (const name of namesIn(text)) {
    const touched = focused && state.selection.ranges.some((range) => range.from <= name.to && range.to >= name.from);
    const wrong = mistaken.some((mistake) => mistake.from < name.to && mistake.to > name.from);
    if (touched || wrong || text[name.to] === "(") continue;
    const here = tableAt(text, name.from, home, names).table;
    const linked = isSource(text, name.from) ? linkedLabels(name.text.split("."), here, names) : null;
    const label = linked ? linked.join(" › ") : labelOf(name.text, here, home, names);
    if (label) builder.add(name.from, name.to, Decoration.replace({ widget: new Label(label, name.text) }));
  }
  return builder.finish();
}

function labelOf(text: string, table: string, home: string, names: AllNames): string | null {
  const parts = text.split(".");
  const fields = resolve(parts, table, home, names);
  if (!fields) return null;
  const before = parts[0] === "old" ? `${t("formula.before")} ` : parts[0] === "this" ? `${t("formula.outside")} ` : "";
  return before + pathLabel(fields);
}

/** "Maker › Name". */
export const pathLabel = (fields: Pick<Field, "label">[]) => fields.map((field) => field.label).join(" › ");
