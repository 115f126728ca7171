import type { Table } from "../../../api/client";
import { FormulaEditor } from "../../../components/formula/FormulaEditor";
import { FormulaOrPieces } from "../../../components/formula/FormulaOrPieces";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { t } from "../../../words";
import { FieldList } from "./FieldList";
import { Tick } from "./NumberParts";
import { mistakesOf, type PartsProps } from "./shared";

/** A stamp: of which event, and of which of its times. */
export function StampParts(props: PartsProps) {
  const { table, parts, change } = props;
  const field = table.fields.find((each) => each.key === parts.field);
  const person = field?.kind === "text" && field.editor === "line";
  return (
    <>
      <SegmentedControl
        name={t("logging.event")}
        value={parts.event ?? "made"}
        options={[
          ["made", person ? t("logging.events.madeBy") : t("logging.events.madeOn")],
          ["changed", person ? t("logging.events.changedBy") : t("logging.events.changedOn")],
          ["reached", t("logging.events.reached")],
        ]}
        onChange={(event) => change({ event, when: event === "reached" ? "" : null, watch: null })}
      />
      {parts.event === "changed" && <Watch {...props} />}
      {parts.event === "reached" && (
        <>
          <When {...props} />
          <SegmentedControl
            name={t("logging.which")}
            value={parts.which ?? "first"}
            options={[
              ["first", t("logging.first")],
              ["last", t("logging.last")],
            ]}
            onChange={(which) => change({ which })}
          />
          <Tick
            label={t("logging.clears")}
            checked={parts.clears === true}
            onChange={() => change({ clears: parts.clears ? null : true })}
          />
        </>
      )}
      <p className="quiet text-xs">{t("logging.stampHint")}</p>
    </>
  );
}

/** A tally: changes of which fields it counts. */
export function TallyParts(props: PartsProps) {
  return (
    <>
      <Watch {...props} />
      <p className="quiet text-xs">{t("logging.tallyHint")}</p>
    </>
  );
}

/** A log line: its event, its words, and how its moment is written. */
export function LineParts(props: PartsProps) {
  const { table, parts, change, mistakes } = props;
  return (
    <>
      <SegmentedControl
        name={t("logging.event")}
        value={parts.event ?? "ticked"}
        options={[
          ["ticked", t("logging.events.ticked")],
          ["changed", t("logging.events.changed")],
          ["reached", t("logging.events.reached")],
        ]}
        onChange={(event) => change({ event, when: event === "reached" ? "" : null, watch: null, tick: null })}
      />
      {parts.event === "ticked" && <TickField table={table} parts={parts} change={change} />}
      {parts.event === "changed" && <Watch {...props} />}
      {parts.event === "reached" && <When {...props} />}
      <div className="flex flex-col gap-1.5">
        <span className="font-semibold">{t("logging.says")}</span>
        <FormulaEditor
          table={table.key}
          label={t("logging.says")}
          value={parts.formula ?? ""}
          onChange={(formula) => change({ formula })}
          mistakes={mistakesOf(mistakes, "formula")}
          focus={false}
        />
      </div>
      <label className="flex flex-col gap-1 font-semibold">
        {t("logging.pattern")}
        <input
          className="input input-sm w-64 font-mono font-normal"
          value={parts.pattern ?? "d MMM yyyy, HH:mm"}
          onChange={(event) => change({ pattern: event.target.value })}
        />
        <span className="quiet font-normal text-xs">{t("logging.patternHint")}</span>
      </label>
      <p className="quiet text-xs">{t("logging.lineHint")}</p>
    </>
  );
}

function TickField({ table, parts, change }: Pick<PartsProps, "table" | "parts" | "change">) {
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {t("logging.tick")}
      <select
        className="select select-sm w-64 font-normal"
        value={parts.tick ?? ""}
        onChange={(event) => change({ tick: event.target.value || null })}
      >
        <option value="">{t("logging.pickTick")}</option>
        {yesNo(table).map((field) => (
          <option key={field.key} value={field.key}>
            {field.label}
          </option>
        ))}
      </select>
    </label>
  );
}

const yesNo = (table: Table) => table.fields.filter((field) => field.editor === "answer" && !field.given);

function Watch({ table, parts, change }: PartsProps) {
  return (
    <div className="flex flex-col gap-1">
      <FieldList
        table={table}
        label={t("logging.watch")}
        except={parts.field}
        value={parts.watch ?? []}
        onChange={(keys) => change({ watch: keys.length > 0 ? keys : null })}
      />
      <p className="quiet text-xs">
        {(parts.watch ?? []).length === 0 ? t("logging.anyField") : t("logging.onlyThese")}
      </p>
    </div>
  );
}

function When({ table, parts, change, mistakes }: PartsProps) {
  return (
    <FormulaOrPieces
      table={table.key}
      label={t("logging.when")}
      value={parts.when ?? ""}
      onChange={(when) => change({ when })}
      mistakes={mistakesOf(mistakes, "when")}
      shapes={["condition"]}
    />
  );
}
