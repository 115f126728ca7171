import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { given, type Look, makeTable, type Options, type Proposed, profileFile } from "../../api/imports";
import { refresh } from "../../api/queryKeys";
import { useFieldTypes } from "../../components/fieldTypes";
import { HelpLink } from "../../components/HelpLink";
import { useAttempt } from "../../components/useAttempt";
import { t } from "../../words";
import { DropFile } from "./DropFile";
import { FileNotes } from "./FileNotes";

type Choice = Proposed & { taken: boolean; left: string[] };

/**
 * A table made of a file: its fields with guessed types, and the rules that its values keep to, to take or to
 * leave.
 */
export default function TableFromFile() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [look, setLook] = useState<Look | null>(null);
  const [options, setOptions] = useState<Options>({});
  const [label, setLabel] = useState("");
  const [fields, setFields] = useState<Choice[]>([]);
  const { attempt, busy, failure } = useAttempt();
  const types = useFieldTypes();
  const has = (type: string, setting: "choices" | "decimals" | "link") => types.of(type).settings.includes(setting);

  const read = (id: string, how: Options) =>
    attempt(async () => {
      const next = await profileFile(id, null, how);
      setOptions(how);
      setLook(next);
      setLabel(
        next.name
          .replace(/\.\w+$/, "")
          .replace(/[_-]+/g, " ")
          .replace(/^./, (sign) => sign.toUpperCase()),
      );
      // That all values so far lie between two need not be a rule.
      const doubtful = (each: Proposed) => each.rules.filter((rule) => rule.doubtful).map((rule) => rule.words);
      setFields(next.proposed.map((each) => ({ ...each, taken: true, left: doubtful(each) })));
    });
  const make = () =>
    attempt(async () => {
      const chosen = fields
        .filter((field) => field.taken)
        .map(({ column, label: name, type, choices, format, target, rules, left }) => ({
          column,
          label: name,
          type,
          choices: has(type, "choices") ? choices : null,
          format: has(type, "decimals") ? format : null,
          target: has(type, "link") ? (target?.key ?? null) : null,
          rules: rules.filter((rule) => !left.includes(rule.words)).map((rule) => rule.parts),
        }));
      if (!look) return;
      const made = await makeTable({ id: look.id, label, fields: chosen as never });
      refresh(client, "tables", "names", "map", "session");
      navigate(`/t/${made.key}/import?${new URLSearchParams({ file: look.id, ...given(options) })}`);
    });
  const change = (column: string, parts: Partial<Choice>) =>
    setFields(fields.map((field) => (field.column === column ? { ...field, ...parts } : field)));

  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-4 px-5 py-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("imports.newTitle")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("imports.makeNote")}</p>
        <HelpLink page="import" />
      </div>
      {!look && <DropFile onFile={(upload) => read(upload.id, {})} />}
      {failure && (
        <p className="sheet border-error p-3 text-error" role="alert">
          {failure}
        </p>
      )}
      {look && (
        <>
          <FileNotes
            look={look}
            onOptions={(how) => read(look.id, { ...options, ...how })}
            onAnother={() => setLook(null)}
          />
          <label className="flex max-w-sm flex-col gap-1">
            {t("imports.tableName")}
            <input className="input input-sm w-full" value={label} onChange={(event) => setLabel(event.target.value)} />
          </label>
          <div className="sheet overflow-auto">
            <table className="w-full text-[0.8125rem]">
              <thead>
                <tr className="border-base-300 border-b text-left text-secondary text-xs">
                  <th className="px-4 py-2 font-semibold">{t("imports.field")}</th>
                  <th className="px-4 py-2 font-semibold">{t("imports.type")}</th>
                  <th className="px-4 py-2 font-semibold">{t("imports.shows")}</th>
                  <th className="px-4 py-2 font-semibold">{t("imports.rules")}</th>
                </tr>
              </thead>
              <tbody>
                {fields.map((field) => (
                  <tr
                    key={field.column}
                    className={`border-base-300/60 border-b last:border-0 ${field.taken ? "" : "opacity-60"}`}
                  >
                    <td className="px-4 py-1.5">
                      <div className="flex items-center gap-2">
                        <input
                          type="checkbox"
                          className="checkbox checkbox-xs"
                          aria-label={field.column}
                          checked={field.taken}
                          onChange={(event) => change(field.column, { taken: event.target.checked })}
                        />
                        <input
                          className="input input-sm w-44"
                          aria-label={`${t("imports.field")}: ${field.column}`}
                          value={field.label}
                          onChange={(event) => change(field.column, { label: event.target.value })}
                        />
                      </div>
                    </td>
                    <td className="px-4 py-1.5">
                      <select
                        className="select select-sm w-32"
                        aria-label={`${t("imports.type")}: ${field.column}`}
                        value={field.type}
                        onChange={(event) => change(field.column, { type: event.target.value })}
                      >
                        {types.all
                          .filter((type) => !type.settings.includes("link") || field.target)
                          .map((type) => (
                            <option
                              key={type.key}
                              value={type.key}
                              disabled={has(type.key, "choices") && !field.choices}
                            >
                              {type.settings.includes("link") && field.target
                                ? t("imports.linkTo", { table: field.target.label })
                                : type.label}
                            </option>
                          ))}
                      </select>
                    </td>
                    <td className="quiet max-w-64 truncate px-4 py-1.5">
                      {look.columns
                        .find((each) => each.column === field.column)
                        ?.samples.slice(0, 3)
                        .join(" · ")}
                    </td>
                    <td className="px-4 py-1.5">
                      <div className="flex flex-wrap gap-x-4 gap-y-1">
                        {field.rules.map((rule) => (
                          <label key={rule.words} className="flex items-center gap-1.5">
                            <input
                              type="checkbox"
                              className="checkbox checkbox-xs"
                              checked={!field.left.includes(rule.words)}
                              onChange={(event) =>
                                change(field.column, {
                                  left: event.target.checked
                                    ? field.left.filter((each) => each !== rule.words)
                                    : [...field.left, rule.words],
                                })
                              }
                            />
                            {rule.words}
                          </label>
                        ))}
                        {field.rules.length === 0 && <span className="quiet">{t("imports.noRules")}</span>}
                      </div>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
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
