import { useFieldTypes } from "../../components/fieldTypes";
import { t } from "../../words";
import { Choices } from "./Choices";

/** A field that could be made of a column, with what somebody chose for it. */
export type Choice = {
  column: string;
  label: string;
  type: string;
  choices: string[] | null;
  /** The different texts of the column, which could be choices; null where they are too many. */
  values: string[] | null;
  rules: { words: string; doubtful: boolean; general: boolean; parts: { [part: string]: unknown } }[];
  /** The table to which it may be a link, by name. */
  linkTo: string | null;
  /** Whether it is wanted, and the rules that are not, by their words. */
  taken: boolean;
  left: string[];
  samples: string[];
};

type Props = {
  fields: Choice[];
  /** What stands above their rules. */
  rules: string;
  onChange: (column: string, parts: Partial<Choice>) => void;
};

/** Fields as they were proposed for columns, to be renamed, retyped, taken or left, with their rules. */
export function ProposedFields({ fields, rules, onChange }: Props) {
  const types = useFieldTypes();
  const listed = (type: string) => types.of(type).settings.includes("choices");
  return (
    <table className="w-full text-[0.8125rem]">
      <thead>
        <tr className="border-base-300 border-b text-left text-secondary text-xs">
          <th className="px-4 py-2 font-semibold">{t("imports.field")}</th>
          <th className="px-4 py-2 font-semibold">{t("imports.type")}</th>
          <th className="px-4 py-2 font-semibold">{t("imports.shows")}</th>
          <th className="px-4 py-2 font-semibold">{rules}</th>
        </tr>
      </thead>
      <tbody>
        {fields.map((field) => (
          <tr
            key={field.column}
            className={`border-base-300/60 border-b last:border-0 ${field.taken ? "" : "opacity-60"}`}
          >
            <td className="px-4 py-1.5 align-top">
              <div className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  aria-label={field.column}
                  checked={field.taken}
                  onChange={(event) => onChange(field.column, { taken: event.target.checked })}
                />
                <input
                  className="input input-sm w-44"
                  aria-label={`${t("imports.field")}: ${field.column}`}
                  value={field.label}
                  onChange={(event) => onChange(field.column, { label: event.target.value })}
                />
              </div>
            </td>
            <td className="px-4 py-1.5 align-top">
              <select
                className="select select-sm w-36"
                aria-label={`${t("imports.type")}: ${field.column}`}
                value={field.type}
                onChange={(event) =>
                  onChange(field.column, {
                    type: event.target.value,
                    left: leftOfAnother(field.rules),
                    choices: field.choices ?? (listed(event.target.value) ? field.values : null),
                  })
                }
              >
                {types.all
                  .filter((type) => !type.settings.includes("link") || field.linkTo)
                  .map((type) => (
                    <option key={type.key} value={type.key}>
                      {type.settings.includes("link") && field.linkTo
                        ? t("imports.linkTo", { table: field.linkTo })
                        : type.label}
                    </option>
                  ))}
              </select>
              {listed(field.type) && (
                <Choices
                  column={field.column}
                  choices={field.choices}
                  onChange={(choices) => onChange(field.column, { choices })}
                />
              )}
            </td>
            <td className="quiet max-w-56 truncate px-4 py-2.5 align-top">{field.samples.slice(0, 3).join(" · ")}</td>
            <td className="px-4 py-2.5 align-top">
              <div className="flex flex-wrap gap-x-4 gap-y-1">
                {field.rules.map((rule) => (
                  <label key={rule.words} className="flex items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={!field.left.includes(rule.words)}
                      onChange={(event) =>
                        onChange(field.column, {
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
  );
}

/** Rules that only hold so far are left off at first. */
export const leftAtFirst = (rules: Choice["rules"]) => rules.filter((rule) => rule.doubtful).map((rule) => rule.words);

/** Of another type than was proposed, a field keeps the rules that suit any. */
const leftOfAnother = (rules: Choice["rules"]) =>
  rules.filter((rule) => rule.doubtful || !rule.general).map((rule) => rule.words);

/** The rules of a field that are wanted, as they are pinned. */
export const wantedRules = (field: Choice) =>
  field.rules.filter((rule) => !field.left.includes(rule.words)).map((rule) => rule.parts);
