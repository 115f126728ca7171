import { autocompletion } from "@codemirror/autocomplete";
import { setDiagnostics } from "@codemirror/lint";
import { Prec } from "@codemirror/state";
import { EditorView, keymap } from "@codemirror/view";
import CodeMirror, { type ReactCodeMirrorRef } from "@uiw/react-codemirror";
import { useEffect, useMemo, useRef, useState } from "react";
import { address } from "../../api/address";
import type { Mistake } from "../../api/client";
import { useFunctions, useNames } from "../../api/queries";
import { t } from "../../words";
import { MistakeLines } from "../MistakeLines";
import { completion } from "./completion";
import { FunctionHelp } from "./FunctionHelp";
import { labels } from "./labels";
import { formulaColours, formulaLanguage } from "./language";

/** By which the server lets the editor bring its own styles. */
const NONCE = document.querySelector<HTMLMetaElement>("meta[name=csp-nonce]")?.content ?? "";

type Props = {
  table: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  mistakes: Mistake[];
  focus?: boolean;
};

/** The editor of formulas: fields by label or key, and a mistake underlined at its place. */
export function FormulaEditor({ table, label, value, onChange, mistakes, focus = true }: Props) {
  const editor = useRef<ReactCodeMirrorRef>(null);
  const functions = useFunctions().data;
  const names = useNames().data;
  const [place, setPlace] = useState<number | null>(null);

  const extensions = useMemo(() => {
    const all = new Map((names ?? []).map((each) => [each.key, each]));
    const known = [...all.values()].flatMap((each) => [each.key, ...each.fields.map((field) => field.key)]);
    return [
      formulaLanguage(
        known,
        (functions ?? []).map((each) => each.name),
      ),
      formulaColours,
      labels(table, all),
      EditorView.lineWrapping,
      EditorView.cspNonce.of(NONCE),
      EditorView.contentAttributes.of({ "aria-label": label, spellcheck: "false", "data-first": "" }),
      autocompletion({
        override: [completion(table, all, functions ?? [])],
        icons: false,
        defaultKeymap: true,
        // A fast hand takes the first offer as soon as it shows.
        interactionDelay: 10,
      }),
      // Ctrl Enter belongs to the panel, which saves; the editor itself would add a line.
      Prec.highest(keymap.of([{ key: "Mod-Enter", run: () => true, stopPropagation: false }])),
    ];
  }, [names, table, functions, label]);

  useEffect(() => {
    const view = editor.current?.view;
    if (view) underline(view, mistakes);
  }, [mistakes]);

  return (
    <div>
      <div
        className={`rounded border bg-base-200/60 ${mistakes.length > 0 ? "border-error" : "border-base-300"}
          focus-within:outline-2 focus-within:outline-accent`}
      >
        <CodeMirror
          ref={editor}
          value={value}
          onChange={onChange}
          onUpdate={(update) => {
            // Kept when the focus leaves: help that goes would move what is being clicked.
            if (update.view.hasFocus && (update.selectionSet || update.docChanged || update.focusChanged))
              setPlace(update.state.selection.main.head);
          }}
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
          autoFocus={focus}
          onCreateEditor={(view) => view.dispatch({ selection: { anchor: view.state.doc.length } })}
        />
      </div>
      <div className="flex items-baseline gap-3">
        <MistakeLines mistakes={mistakes} />
        <a href={address("/language")} target="_blank" rel="noreferrer" className="quiet shrink-0 text-xs underline">
          {t("language.link")}
        </a>
      </div>
      {place !== null && <FunctionHelp text={value} place={place} />}
    </div>
  );
}

function underline(view: EditorView, mistakes: Mistake[]) {
  const length = view.state.doc.length;
  const underlined = mistakes
    .filter((mistake) => mistake.from !== null)
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
}
