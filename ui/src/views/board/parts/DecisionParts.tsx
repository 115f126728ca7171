import { Copy, Download, Plus, Upload } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { api, asSent, data, ProblemError } from "../../../api/client";
import { group, t } from "../../../words";
import { DecisionGrid } from "../decision/DecisionGrid";
import { Review } from "../decision/Review";
import {
  type Decision,
  decisionOf,
  fromHeaded,
  laidOver,
  unknownChoices,
  width,
  withInput,
  withOutput,
  withRow,
} from "../decision/table";
import { NewChoices } from "../NewChoices";
import { HandParts } from "./FillParts";
import type { PartsProps } from "./shared";

type Props = PartsProps & {
  /** The row that decides for the record that is looked at. */
  row: number | null;
  /** Whether the table has no mistake. */
  sound: boolean;
};

const FORMULA = "=";

/** A decision table: its columns and rows, pasted or typed, and what is to be said of it as a whole. */
export function DecisionParts({ table, parts, change, mistakes, row, sound }: Props) {
  const decision = decisionOf(parts);
  const [notes, setNotes] = useState<string[]>([]);
  const [lit, setLit] = useState<number | null>(null);
  // What was typed while a pasted block was being read stays.
  const latest = useRef(decision);
  latest.current = decision;
  const file = useRef<HTMLInputElement>(null);
  useEffect(() => setLit(row), [row]);

  const put = (next: Decision) => {
    const outputs = next.outputs;
    const field = outputs.includes(parts.field) || outputs.length === 0 ? parts.field : (outputs[0] ?? parts.field);
    change({ ...next, field });
  };

  const read = async (text: string, at?: { row: number; column: number }) => {
    try {
      const parsed = await data(
        api.POST("/api/tables/{table}/decisions/read", { params: { path: { table: table.key } }, body: { text } }),
      );
      const headed = parsed.columns.some((column) => column.head !== null);
      const next = headed
        ? fromHeaded(latest.current, parsed, table)
        : laidOver(latest.current, at?.row ?? 0, at?.column ?? 0, parsed.rows);
      if (next === null) {
        setNotes([
          t("decision.tooWide", { has: parsed.columns.length, room: width(latest.current) - (at?.column ?? 0) }),
        ]);
        return;
      }
      put(next);
      setNotes([t("decision.pasted", { count: parsed.rows.length }), ...parsed.notes]);
    } catch (error) {
      if (error instanceof ProblemError) setNotes([error.message]);
    }
  };

  const written = async (separator: "tab" | "comma") => {
    const body = { ...asSent(parts), separator };
    return (
      await data(api.POST("/api/tables/{table}/decisions/write", { params: { path: { table: table.key } }, body }))
    ).text;
  };

  const copy = async () => {
    try {
      await navigator.clipboard.writeText(await written("tab"));
      toast(t("decision.copied"));
    } catch (error) {
      toast(error instanceof ProblemError ? error.message : t("decision.notCopied"));
    }
  };

  const download = async () => {
    const address = URL.createObjectURL(new Blob([await written("comma")], { type: "text/csv" }));
    const link = document.createElement("a");
    link.href = address;
    link.download = `${parts.name || "decision-table"}.csv`;
    link.click();
    URL.revokeObjectURL(address);
  };

  const faults = new Map<string, string>();
  const formulaFaults = new Map<number, (typeof mistakes)[number]>();
  for (const mistake of mistakes) {
    const [part, ...place] = (mistake.part ?? "").split(".");
    if (part === "rows" && place.length === 2) faults.set(place.join("."), mistake.message);
    if (part === "inputs" && place.length === 1) formulaFaults.set(Number(place[0]), mistake);
  }
  const ready = decision.inputs.length > 0 && decision.outputs.length > 0;
  const taken = [...decision.inputs, ...decision.outputs];

  return (
    <>
      <label className="flex flex-col gap-1 font-semibold">
        {t("decision.name")}
        <input
          className="input input-sm w-72 font-normal"
          data-first
          value={parts.name ?? ""}
          placeholder={t("decision.namePlaceholder")}
          onChange={(event) => change({ name: event.target.value || null })}
        />
      </label>
      <div className="flex flex-wrap items-center gap-2">
        <Pick
          label={t("decision.addInput")}
          options={[
            ...table.fields
              .filter((field) => !taken.includes(field.key) && field.editor !== "link")
              .map((field) => [field.key, field.label] as const),
            [FORMULA, t("decision.ownFormula")] as const,
          ]}
          onPick={(key) => put(withInput(decision, key === FORMULA ? "" : key))}
        />
        <Pick
          label={t("decision.addOutput")}
          options={table.fields
            .filter((field) => !taken.includes(field.key) && !field.given)
            .map((field) => [field.key, field.label] as const)}
          onPick={(key) => put(withOutput(decision, key))}
        />
        <span className="flex-1" />
        <button type="button" className="btn btn-ghost btn-sm" disabled={!sound} onClick={copy}>
          <Copy size={14} aria-hidden />
          {t("decision.copy")}
        </button>
        <button type="button" className="btn btn-ghost btn-sm" disabled={!sound} onClick={download}>
          <Download size={14} aria-hidden />
          {t("decision.exportCsv")}
        </button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => file.current?.click()}>
          <Upload size={14} aria-hidden />
          {t("decision.importCsv")}
        </button>
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="hidden"
          aria-label={t("decision.importCsv")}
          onChange={async (event) => {
            const chosen = event.target.files?.[0];
            if (chosen) read(await chosen.text());
            event.target.value = "";
          }}
        />
      </div>
      {ready ? (
        <>
          <DecisionGrid
            table={table}
            decision={decision.rows.length > 0 ? decision : withRow(decision)}
            faults={faults}
            formulaFaults={formulaFaults}
            lit={lit}
            onChange={put}
            onBlock={(text, at, column) => read(text, { row: at, column })}
          />
          <button type="button" className="btn btn-sm w-fit" onClick={() => put(withRow(decision))}>
            <Plus size={14} aria-hidden />
            {t("decision.addRow")}
          </button>
        </>
      ) : (
        <Empty onBlock={read} />
      )}
      {notes.map((note) => (
        <p key={note} className="text-secondary" role="status">
          {note}
        </p>
      ))}
      {faults.size > 0 && <Faults faults={faults} />}
      {[...unknownChoices(decision, table, faults)].map(([key, texts]) => {
        const field = table.fields.find((each) => each.key === key);
        return field && <NewChoices key={key} table={table.key} field={field} texts={texts} />;
      })}
      {[...formulaFaults.values()].map((mistake) => (
        <p key={mistake.message} className="text-error" role="alert">
          {mistake.message.replaceAll("`", "")}
        </p>
      ))}
      <ul className="quiet flex flex-wrap gap-x-4 gap-y-0.5 text-xs">
        {group("decision.hints").map(([key, text]) => (
          <li key={key}>{text}</li>
        ))}
      </ul>
      {/* Beside each other: what is found comes a moment later, and nothing may move beneath a hand. */}
      <div className="grid items-start gap-4 sm:grid-cols-2">
        <div className="flex flex-col gap-4">
          <fieldset className="flex flex-wrap gap-x-5 gap-y-1.5">
            <legend className="mb-1 font-semibold">{t("decision.otherwise")}</legend>
            {(["leave", "clear"] as const).map((each) => (
              <label key={each} className="flex items-center gap-2">
                <input
                  type="radio"
                  name="otherwise"
                  className="radio radio-sm"
                  checked={(parts.otherwise ?? "leave") === each}
                  onChange={() => change({ otherwise: each })}
                />
                {t(`decision.ways.${each}`)}
              </label>
            ))}
          </fieldset>
          <HandParts parts={parts} change={change} />
        </div>
        {ready && <Review table={table} parts={parts} sound={sound} onRow={setLit} />}
      </div>
    </>
  );
}

type PickProps = { label: string; options: (readonly [string, string])[]; onPick: (key: string) => void };

function Pick({ label, options, onPick }: PickProps) {
  return (
    <select
      className="select select-sm w-40"
      aria-label={label}
      value=""
      onChange={(event) => event.target.value && onPick(event.target.value)}
    >
      <option value="">{label}</option>
      {options.map(([key, text]) => (
        <option key={key} value={key}>
          {text}
        </option>
      ))}
    </select>
  );
}

/** A place to paste into while there is no table yet. */
function Empty({ onBlock }: { onBlock: (text: string) => void }) {
  return (
    <label className="flex flex-col gap-1">
      <span className="quiet">{t("decision.columnsNeeded")}</span>
      <textarea
        className="textarea w-full font-mono text-xs"
        rows={3}
        aria-label={t("decision.pasteHere")}
        placeholder={t("decision.pasteHere")}
        value=""
        onChange={() => undefined}
        onPaste={(event) => {
          event.preventDefault();
          onBlock(event.clipboardData.getData("text/plain"));
        }}
      />
    </label>
  );
}

function Faults({ faults }: { faults: Map<string, string> }) {
  return (
    <div className="text-error" role="alert">
      <p className="font-semibold">{t("decision.mistakes", { count: faults.size })}</p>
      <ul className="max-h-32 overflow-auto">
        {[...faults].slice(0, 40).map(([place, message]) => (
          <li key={place}>
            {t("decision.row", { n: Number(place.split(".")[0]) + 1 })}: {message}
          </li>
        ))}
      </ul>
    </div>
  );
}
