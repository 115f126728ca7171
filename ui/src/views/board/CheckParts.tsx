import type { Mistake, RuleParts, Table } from "../../api/client";
import { FormulaOrPieces } from "../../components/formula/FormulaOrPieces";
import { words } from "../../words";

type Props = {
  table: Table;
  parts: RuleParts;
  change: (parts: Partial<RuleParts>) => void;
  mistakes: Mistake[];
  usual: string;
};

/** A validation: its condition, the message when it does not hold, and at which field that stands. */
export function CheckParts({ table, parts, change, mistakes, usual }: Props) {
  return (
    <>
      {parts.kind === "check" && (
        <FormulaOrPieces
          table={table.key}
          label={words.rulePanel.condition}
          value={parts.formula ?? ""}
          onChange={(formula) => change({ formula })}
          mistakes={mistakes.filter((mistake) => mistake.part === "formula")}
          shapes={["condition"]}
        />
      )}
      <label className="flex flex-col gap-1 font-semibold">
        {words.rulePanel.message}
        <input
          className="input w-full font-normal"
          value={parts.message ?? ""}
          placeholder={usual}
          onChange={(event) => change({ message: event.target.value || null })}
        />
      </label>
      {parts.kind === "check" && (
        <label className="flex items-center gap-2 text-[0.8125rem]">
          {words.rulePanel.messageAt}
          <select
            className="select select-sm w-48"
            value={parts.field}
            onChange={(event) => change({ field: event.target.value })}
          >
            {table.fields.map((field) => (
              <option key={field.key} value={field.key}>
                {field.label}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}
