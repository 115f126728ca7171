import type { RuleParts } from "../../../api/client";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { Segments } from "../../../components/Segments";
import { words } from "../../../words";
import { mistakesOf, type PartsProps } from "./shared";

const OTHERWISE = ["clear", "keep", "refuse"] as const;

/** Which choices belong: by a list for each value of another choice, or by a condition. */
export function NarrowParts({ table, parts, change, mistakes }: PartsProps) {
  const field = table.fields.find((each) => each.key === parts.field);
  const parents = table.fields.filter((each) => each.type === "choice" && each.key !== parts.field);
  const listed = field?.type === "choice" && parents.length > 0;
  const byList = Boolean(parts.by);
  return (
    <>
      {listed && (
        <Segments
          name={words.narrow.way}
          value={byList ? "list" : "formula"}
          options={[
            ["formula", words.narrow.condition],
            ["list", words.narrow.byList],
          ]}
          onChange={(way) =>
            change(
              way === "list"
                ? { by: parents[0]?.key ?? null, map: {}, formula: null }
                : { by: null, map: null, formula: "" },
            )
          }
        />
      )}
      {byList ? (
        <MapEditor table={table} parts={parts} change={change} />
      ) : (
        <>
          <FormulaOrPieces
            table={table.key}
            label={words.narrow.belongs(field?.label ?? "")}
            value={parts.formula ?? ""}
            onChange={(formula) => change({ formula })}
            mistakes={mistakesOf(mistakes, "formula")}
            shapes={["condition"]}
          />
          <p className="quiet text-xs">{words.narrow.hint(field?.label ?? "", field?.key ?? "")}</p>
        </>
      )}
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{words.narrow.otherwise}</legend>
        {OTHERWISE.map((each) => (
          <label key={each} className="flex items-center gap-2">
            <input
              type="radio"
              name="otherwise"
              className="radio radio-sm"
              checked={(parts.otherwise ?? "clear") === each}
              onChange={() => change({ otherwise: each })}
            />
            {words.narrow.ways[each]}
          </label>
        ))}
      </fieldset>
      <label className="flex flex-col gap-1 font-semibold">
        {words.narrow.message}
        <input
          className="input w-full font-normal"
          value={parts.message ?? ""}
          placeholder={words.narrow.usual}
          onChange={(event) => change({ message: event.target.value || null })}
        />
      </label>
    </>
  );
}

/** For each value of the parent the choices that belong to it, ticked. */
function MapEditor({ table, parts, change }: Pick<PartsProps, "table" | "parts" | "change">) {
  const parent = table.fields.find((each) => each.key === parts.by);
  const field = table.fields.find((each) => each.key === parts.field);
  const map: NonNullable<RuleParts["map"]> = parts.map ?? {};
  const put = (value: string, choices: string[]) => change({ map: { ...map, [value]: choices } });
  return (
    <>
      <label className="flex items-center gap-2 font-semibold">
        {words.narrow.dependsOn}
        <select
          className="select select-sm w-48 font-normal"
          value={parts.by ?? ""}
          onChange={(event) => change({ by: event.target.value, map: {} })}
        >
          {table.fields
            .filter((each) => each.type === "choice" && each.key !== parts.field)
            .map((each) => (
              <option key={each.key} value={each.key}>
                {each.label}
              </option>
            ))}
        </select>
      </label>
      <div className="shrink-0 overflow-auto rounded border border-base-300">
        <table className="table-sm table">
          <thead>
            <tr>
              <th>{parent?.label}</th>
              {field?.choices.map((choice) => (
                <th key={choice} className="text-center">
                  {choice}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {parent?.choices.map((value) => {
              const chosen = map[value] ?? field?.choices ?? [];
              return (
                <tr key={value}>
                  <th>{value}</th>
                  {field?.choices.map((choice) => (
                    <td key={choice} className="text-center">
                      <input
                        type="checkbox"
                        className="checkbox checkbox-xs"
                        aria-label={`${value}: ${choice}`}
                        checked={chosen.includes(choice)}
                        onChange={() =>
                          put(
                            value,
                            chosen.includes(choice)
                              ? chosen.filter((each) => each !== choice)
                              : (field?.choices ?? []).filter((each) => each === choice || chosen.includes(each)),
                          )
                        }
                      />
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </>
  );
}
