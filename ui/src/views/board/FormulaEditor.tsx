import { autocompletion, type CompletionContext } from "@codemirror/autocomplete";
import { setDiagnostics } from "@codemirror/lint";
import { EditorView, keymap } from "@codemirror/view";
import CodeMirror, { type ReactCodeMirrorRef } from "@uiw/react-codemirror";
import { useEffect, useMemo, useRef } from "react";
import type { Mistake, Table } from "../../api/client";
import { useFunctions } from "../../api/queries";
import { Said } from "../../components/Said";
import { formulaColours, formulaLanguage, KEYWORDS } from "./formulaLanguage";

type Props = { table: Table; label: string; value: string; onChange: (value: string) => void; mistakes: Mistake[] };

/** The editor of formulas: fields by label or key, and a mistake underlined at its place. */
export function FormulaEditor({ table, label, value, onChange, mistakes }: Props) {
  const editor = useRef<ReactCodeMirrorRef>(null);
  const functions = useFunctions().data;
  const inFormula = mistakes.filter((mistake) => mistake.part === "formula");

  const extensions = useMemo(() => {
    const options = [
      ...table.fields.map((field) => ({
        label: field.label,
        displayLabel: field.label,
        apply: field.key,
        detail: `${field.key} · ${field.type_label.toLowerCase()}`,
        type: "property",
        boost: 2,
      })),
      ...table.fields
        .filter((field) => field.label.toLowerCase() !== field.key)
        .map((field) => ({
          label: field.key,
          displayLabel: field.label,
          apply: field.key,
          detail: `${field.key} · ${field.type_label.toLowerCase()}`,
          type: "property",
          boost: 1,
        })),
      ...(functions ?? []).map((each) => ({
        label: each.name,
        displayLabel: each.signature,
        apply: `${each.name}(`,
        info: `${each.help} ${each.example} → ${each.result}`,
        type: "function",
      })),
      ...KEYWORDS.map((word) => ({ label: word, type: "keyword", boost: -1 })),
    ];
    const complete = (context: CompletionContext) => {
      const word = context.matchBefore(/[\p{L}_][\p{L}\p{N}_.]*/u);
      return word || context.explicit ? { from: word?.from ?? context.pos, options, filter: true } : null;
    };
    return [
      formulaLanguage(
        table.fields.map((field) => field.key),
        (functions ?? []).map((each) => each.name),
      ),
      formulaColours,
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ "aria-label": label, spellcheck: "false", "data-first": "" }),
      autocompletion({ override: [complete], icons: false, defaultKeymap: true }),
      // Ctrl Enter belongs to the panel, which saves.
      keymap.of([{ key: "Mod-Enter", run: () => true, stopPropagation: false }]),
    ];
  }, [table.fields, functions, label]);

  useEffect(() => {
    const view = editor.current?.view;
    if (!view) return;
    const length = view.state.doc.length;
    const underlined = mistakes
      .filter((mistake) => mistake.part === "formula" && mistake.from !== null)
      .map((mistake) => {
        const from = Math.min(mistake.from ?? 0, length);
        const to = Math.min(mistake.to ?? length, length);
        // Something missing at the end has no width; the last sign carries the line instead.
        return {
          from: from === to ? Math.max(0, from - 1) : from,
          to,
          severity: "error" as const,
          message: mistake.message,
        };
      });
    view.dispatch(setDiagnostics(view.state, underlined));
  }, [mistakes]);

  return (
    <div>
      <div
        className={`rounded border bg-base-200/60 ${inFormula.length > 0 ? "border-error" : "border-base-300"} focus-within:outline-2 focus-within:outline-accent`}
      >
        <CodeMirror
          ref={editor}
          value={value}
          onChange={onChange}
          extensions={extensions}
          theme="none"
          basicSetup={{
            lineNumbers: false,
            foldGutter: false,
            highlightActiveLine: false,
            highlightActiveLineGutter: false,
            autocompletion: false,
            searchKeymap: false,
            lintKeymap: false,
          }}
          indentWithTab={false}
          minHeight="3.5rem"
          maxHeight="12rem"
          autoFocus
          onCreateEditor={(view) => view.dispatch({ selection: { anchor: view.state.doc.length } })}
        />
      </div>
      {inFormula.map((mistake) => (
        <p key={`${mistake.from}-${mistake.message}`} className="mt-1 text-error" role="alert">
          <Said text={mistake.message} />
        </p>
      ))}
    </div>
  );
}
