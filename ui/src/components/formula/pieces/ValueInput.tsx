import type { Test, TestValue } from "../../../api/client";
import { t } from "../../../words";
import type { AllNames, Field } from "../places";
import { FieldPick } from "./FieldPick";

/** What stands for the present, by kind. */
const PRESENT: { [kind: string]: string | undefined } = { date: "today()", moment: "now()" };

/** The relations that a field can be tested by, and in any case the one that is there. */
export function relationsOf(field: Field | undefined, present?: string): string[] {
  const found = field?.relations ?? [];
  return present && !found.includes(present) ? [...found, present] : found;
}

/** What a fresh test compares with. */
export function firstValue(field: Field | undefined, relation: string): TestValue | null {
  if (relation.endsWith("blank")) return null;
  const choice = { text: field?.choices[0] ?? "" };
  if (relation.endsWith("in")) return { list: [choice] };
  if (field?.kind === "number") return { number: "" };
  const present = PRESENT[field?.kind ?? ""];
  if (present) return { field: present };
  if (field?.kind === "yes_no") return { answer: true };
  return choice;
}

/** What fields of some kinds can be compared with. */
const WAYS: { [kind: string]: readonly ("today" | "now" | "value" | "field")[] | undefined } = {
  date: ["today", "value", "field"],
  moment: ["now", "field"],
};

type Props = {
  table: string;
  names: AllNames;
  test: Test;
  field: Field | undefined;
  onChange: (value: TestValue) => void;
};

/** What a field is compared with: a value of its kind, today, or another field. */
export function ValueInput({ table, names, test, field, onChange }: Props) {
  const value = test.value;
  if (value === null || test.relation.endsWith("blank")) return null;
  if (value.list) return <ListInput field={field} value={value.list} onChange={(list) => onChange({ list })} />;
  const isPresent = value.field !== undefined && Object.values(PRESENT).includes(value.field);
  const way = isPresent ? (value.field === "now()" ? "now" : "today") : value.field === undefined ? "value" : "field";
  const ways = WAYS[field?.kind ?? ""] ?? (["value", "field"] as const);
  const change = (next: string) => {
    if (next === "field") onChange({ field: "" });
    else if (next === "today" || next === "now") onChange({ field: `${next}()` });
    else onChange(field?.kind === "date" ? { date: "" } : (firstValue(field, test.relation) ?? { text: "" }));
  };
  return (
    <>
      {way === "field" && (
        <FieldPick
          table={table}
          names={names}
          name={t("pieces.value")}
          value={value.field ?? ""}
          onChange={(path) => onChange({ field: path })}
        />
      )}
      {way === "value" && <Fixed field={field} value={value} onChange={onChange} />}
      <select
        aria-label={t("pieces.way")}
        className="select select-xs w-auto"
        value={way}
        onChange={(event) => change(event.target.value)}
      >
        {ways.map((each) => (
          <option key={each} value={each}>
            {t(`pieces.ways.${each}`)}
          </option>
        ))}
      </select>
    </>
  );
}

type FixedProps = { field: Field | undefined; value: TestValue; onChange: (value: TestValue) => void };

function Fixed({ field, value, onChange }: FixedProps) {
  if (value.answer !== undefined) {
    return (
      <select
        aria-label={t("pieces.value")}
        className="select select-sm w-auto"
        value={value.answer ? "yes" : "no"}
        onChange={(event) => onChange({ answer: event.target.value === "yes" })}
      >
        <option value="yes">{t("records.yes")}</option>
        <option value="no">{t("records.no")}</option>
      </select>
    );
  }
  if (field && field.choices.length > 0) {
    return <Choice choices={field.choices} value={value.text ?? ""} onChange={(text) => onChange({ text })} />;
  }
  if (value.date !== undefined) {
    return (
      <input
        type="date"
        aria-label={t("pieces.value")}
        className="input input-sm w-36"
        value={value.date}
        onChange={(event) => onChange({ date: event.target.value })}
      />
    );
  }
  const number = value.number !== undefined;
  return (
    <input
      aria-label={t("pieces.value")}
      className="input input-sm w-28"
      inputMode={number ? "decimal" : undefined}
      value={(number ? value.number : value.text) ?? ""}
      onChange={(event) => onChange(number ? { number: event.target.value } : { text: event.target.value })}
    />
  );
}

function Choice({ choices, value, onChange }: { choices: string[]; value: string; onChange: (text: string) => void }) {
  const all = choices.includes(value) ? choices : [value, ...choices];
  return (
    <select
      aria-label={t("pieces.value")}
      className="select select-sm w-auto"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {all.map((each) => (
        <option key={each} value={each}>
          {each}
        </option>
      ))}
    </select>
  );
}

type ListProps = { field: Field | undefined; value: TestValue[]; onChange: (value: TestValue[]) => void };

function ListInput({ field, value, onChange }: ListProps) {
  const texts = value.map((each) => each.text ?? each.number ?? "");
  if (field && field.choices.length > 0) {
    const flip = (choice: string) =>
      texts.includes(choice) ? texts.filter((each) => each !== choice) : [...texts, choice];
    return (
      <span className="flex flex-wrap gap-2 text-xs">
        {field.choices.map((choice) => (
          <label key={choice} className="flex items-center gap-1">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={texts.includes(choice)}
              onChange={() => onChange(flip(choice).map((text) => ({ text })))}
            />
            {choice}
          </label>
        ))}
      </span>
    );
  }
  return (
    <input
      aria-label={t("pieces.value")}
      className="input input-sm w-40"
      placeholder={t("pieces.listHint")}
      value={texts.join("; ")}
      onChange={(event) => onChange(event.target.value.split(/; ?/).map((text) => ({ text })))}
    />
  );
}
