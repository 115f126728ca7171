import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { ProblemError } from "../../api/client";
import { given, type Look, makeTable, type Options, type Proposed, profileFile } from "../../api/imports";
import { refresh } from "../../api/queryKeys";
import { useFieldTypes } from "../../components/fieldTypes";
import { HelpLink } from "../../components/HelpLink";
import { useAttempt } from "../../components/useAttempt";
import { t } from "../../words";
import { DropFile } from "./DropFile";
import { FileNotes } from "./FileNotes";
import { LookedAt } from "./LookedAt";
import { type Choice, leftAtFirst, ProposedFields, wantedRules } from "./ProposedFields";
import { SeveralTables } from "./SeveralTables";

type Field = Proposed & Choice;

/**
 * A table made of a file: its fields with guessed types, and the rules that its values keep to, to take or to
 * leave.
 */
export default function TableFromFile() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [look, setLook] = useState<Look | null>(null);
  const [several, setSeveral] = useState<string | null>(null);
  const [options, setOptions] = useState<Options>({});
  const [label, setLabel] = useState("");
  const [fields, setFields] = useState<Field[]>([]);
  /** Whether the rest of its rows is looked at. */
  const [reading, setReading] = useState(false);
  /** What was asked for last: a look that ends after another one was begun tells nothing any more. */
  const latest = useRef({});
  const { attempt, busy, failure } = useAttempt();
  const types = useFieldTypes();
  const has = (type: string, setting: "choices" | "decimals" | "link") => types.of(type).settings.includes(setting);

  const show = (next: Look, how: Options) => {
    setOptions(how);
    setLook(next);
    setLabel(named(next.name));
    setFields(proposedOf(next));
  };
  const forget = () => {
    setReading(false);
    latest.current = {};
    return latest.current;
  };
  const read = (id: string, how: Options) =>
    attempt(async () => {
      const mine = forget();
      const next = await profileFile(id, null, how);
      if (latest.current !== mine) return;
      show(next, how);
      if (!next.whole) await readAll(next, how);
    });
  const another = () => {
    forget();
    setLook(null);
  };
  /** What the first rows showed may be chosen from meanwhile; what somebody chose stays. */
  const readAll = async (first: Look, how: Options) => {
    const mine = latest.current;
    setReading(true);
    try {
      const all = await profileFile(first.id, null, how, false, true);
      if (latest.current !== mine) return;
      setLook(all);
      setFields((now) => merged(proposedOf(all), now, proposedOf(first)));
    } catch (error) {
      const stopped = error instanceof ProblemError && error.problem.code === "stopped";
      if (latest.current === mine && !stopped) throw error;
    } finally {
      if (latest.current === mine) setReading(false);
    }
  };
  const make = () =>
    attempt(async () => {
      const chosen = fields
        .filter((field) => field.taken)
        .map((field) => ({
          column: field.column,
          label: field.label,
          type: field.type,
          choices: has(field.type, "choices") ? field.choices : null,
          format: has(field.type, "decimals") ? field.format : null,
          target: has(field.type, "link") ? (field.target?.key ?? null) : null,
          rules: wantedRules(field),
        }));
      if (!look) return;
      const made = await makeTable({ id: look.id, label, fields: chosen as never });
      refresh(client, "tables", "names", "map", "session");
      navigate(`/t/${made.key}/import?${new URLSearchParams({ file: look.id, ...given(options) })}`);
    });
  const change = (column: string, parts: Partial<Choice>) =>
    setFields((now) => now.map((field) => (field.column === column ? { ...field, ...parts } : field)));

  if (several) return <SeveralTables file={several} onAnother={() => setSeveral(null)} />;
  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 px-5 py-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("imports.newTitle")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("imports.makeNote")}</p>
        <HelpLink page="import" />
      </div>
      {!look && (
        <DropFile
          databases
          onFile={({ id, several: kind }) => (kind && kind !== "workbook" ? setSeveral(id) : read(id, {}))}
        />
      )}
      {failure && (
        <p className="sheet border-error p-3 text-error" role="alert">
          {failure}
        </p>
      )}
      {look && (
        <>
          <FileNotes look={look} onOptions={(how) => read(look.id, { ...options, ...how })} onAnother={another} />
          {look.sheets.length > 1 && (
            <p className="-mt-2 flex flex-wrap items-center gap-3 text-xs">
              {t("imports.oneSheet", { sheet: look.sheet ?? "" })}
              <button type="button" className="btn btn-xs" onClick={() => setSeveral(look.id)}>
                {t("imports.allSheets", { count: look.sheets.length })}
              </button>
            </p>
          )}
          <label className="flex max-w-sm flex-col gap-1">
            {t("imports.tableName")}
            <input className="input input-sm w-full" value={label} onChange={(event) => setLabel(event.target.value)} />
          </label>
          <div className="sheet overflow-auto">
            <LookedAt look={look} reading={reading} onAll={() => attempt(() => readAll(look, options))} />
            <ProposedFields fields={fields} rules={t("imports.rules")} onChange={change} />
          </div>
          <div className="flex justify-end">
            <button
              type="button"
              className="btn btn-primary btn-sm"
              disabled={busy || label.trim() === "" || !fields.some((field) => field.taken)}
              onClick={make}
            >
              {t("imports.make")}
            </button>
          </div>
        </>
      )}
    </div>
  );
}

/** A table's name after that of its file. */
const named = (file: string) =>
  file
    .replace(/\.\w+$/, "")
    .replace(/[_-]+/g, " ")
    .replace(/^./, (sign) => sign.toUpperCase());

function proposedOf(look: Look): Field[] {
  const samples = new Map(look.columns.map((each) => [each.column, each.samples]));
  return look.proposed.map((each) => ({
    ...each,
    linkTo: each.target?.label ?? null,
    samples: samples.get(each.column) ?? [],
    taken: true,
    left: leftAtFirst(each.rules),
  }));
}

/** Fields as they are proposed by now, with what somebody has changed of an earlier proposal. */
const merged = (proposed: Field[], now: Field[], before: Field[]) =>
  proposed.map((field, place) => {
    const [chosen, old] = [now[place], before[place]];
    if (!chosen || !old) return field;
    const label = chosen.label === old.label ? field.label : chosen.label;
    const kept = { ...field, label, taken: chosen.taken };
    if (chosen.type !== old.type || chosen.choices?.join("\n") !== old.choices?.join("\n"))
      return { ...kept, type: chosen.type, choices: chosen.choices, left: [...chosen.left, ...kept.left] };
    const left = chosen.left.filter((words) => !old.left.includes(words));
    const taken = old.left.filter((words) => !chosen.left.includes(words));
    return { ...kept, left: [...kept.left.filter((words) => !taken.includes(words)), ...left] };
  });
