import { Plus, X } from "lucide-react";
import type { Test } from "../../../api/client";
import { t, word } from "../../../words";
import { type AllNames, resolve } from "../places";
import { FieldPick } from "./FieldPick";
import { Tool } from "./Parts";
import { firstValue, relationsOf, ValueInput } from "./ValueInput";

type Props = {
  table: string;
  names: AllNames;
  name: string;
  match: "all" | "any";
  tests: Test[];
  onChange: (match: "all" | "any", tests: Test[]) => void;
};

/** Simple tests of fields, of which all or any must be met. */
export function Tests({ table, names, name, match, tests, onChange }: Props) {
  const put = (at: number, test: Test) =>
    onChange(
      match,
      tests.map((each, index) => (index === at ? test : each)),
    );
  const fieldOf = (path: string) => resolve(path.split("."), table, table, names)?.at(-1);
  const pick = (at: number, path: string) => {
    const relation = relationsOf(fieldOf(path))[0] ?? "=";
    put(at, { field: path, relation, value: firstValue(fieldOf(path), relation) });
  };
  const relate = (at: number, test: Test, relation: string) => {
    const keeps =
      test.value !== null && !relation.endsWith("in") && !relation.endsWith("blank") && !("list" in test.value);
    put(at, { ...test, relation, value: keeps ? test.value : firstValue(fieldOf(test.field), relation) });
  };
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 font-semibold">{name}</legend>
      {tests.length > 1 && (
        <label className="flex items-center gap-2 text-xs">
          {t("pieces.match")}
          <select
            className="select select-xs w-auto"
            value={match}
            onChange={(event) => onChange(event.target.value === "any" ? "any" : "all", tests)}
          >
            <option value="all">{t("pieces.all")}</option>
            <option value="any">{t("pieces.any")}</option>
          </select>
        </label>
      )}
      {tests.map((test, at) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: a test is known by its place alone
          key={at}
          className="flex flex-wrap items-center gap-1.5 rounded border border-base-300 bg-base-200/50 px-2 py-1"
        >
          <FieldPick
            links
            table={table}
            names={names}
            name={t("pieces.field")}
            value={test.field}
            onChange={(path) => pick(at, path)}
          />
          <select
            aria-label={t("pieces.relation")}
            className="select select-sm w-auto"
            value={test.relation}
            onChange={(event) => relate(at, test, event.target.value)}
          >
            {relationsOf(fieldOf(test.field), test.relation).map((each) => (
              <option key={each} value={each}>
                {relationWord(each, fieldOf(test.field)?.kind)}
              </option>
            ))}
          </select>
          <ValueInput
            table={table}
            names={names}
            test={test}
            field={fieldOf(test.field)}
            onChange={(value) => put(at, { ...test, value })}
          />
          <span className="flex-1" />
          <Tool
            name={t("pieces.remove")}
            icon={X}
            onClick={() =>
              onChange(
                match,
                tests.filter((_, index) => index !== at),
              )
            }
          />
        </div>
      ))}
      <button
        type="button"
        className="btn btn-xs self-start"
        onClick={() => onChange(match, [...tests, { field: "", relation: "=", value: { text: "" } }])}
      >
        <Plus size={12} aria-hidden />
        {t("pieces.addTest")}
      </button>
    </fieldset>
  );
}

function relationWord(relation: string, kind: string | undefined) {
  const days = kind === "date" ? word(`pieces.dayRelations.${relation}`) : undefined;
  return days ?? word(`pieces.relations.${relation}`) ?? relation;
}
