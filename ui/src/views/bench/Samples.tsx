import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { toast } from "sonner";
import type { Table } from "../../api/client";
import { makeFailing, useMakeUp, useSamples } from "../../api/proofs";
import { useUndoBatch } from "../../api/queries";
import { Dialog } from "../../components/Dialog";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";
import { FailingRecords } from "./FailingRecords";

/** Enough records to try the grid at size. */
const AT_SIZE = 5_000;
/** Fills the table with made-up records, or shows some that one rule refuses. */
export function Samples({ table, onClose }: { table: Table; onClose: () => void }) {
  const [aim, setAim] = useState<"pass" | "fail">("pass");
  const [count, setCount] = useState("100");
  const [seed, setSeed] = useState("1");
  const rules = table.rules.filter((rule) => rule.refuses_new);
  const [rule, setRule] = useState(rules[0]?.id ?? "");
  const make = useMakeUp(table.key);
  const failing = useMutation({
    mutationFn: (body: Parameters<typeof makeFailing>[1]) => makeFailing(table.key, body),
  });
  const made = useSamples(table.key).data ?? [];
  const undo = useUndoBatch();
  const numbers = { count: Number.parseInt(count, 10) || 0, seed: Number.parseInt(seed, 10) || 1 };
  const error = aim === "pass" ? make.error : failing.error;
  const fill = () =>
    make.mutate(
      { count: AT_SIZE, seed: 1 },
      { onSuccess: (result) => toast.success(t("samples.made", { n: result?.made ?? AT_SIZE })) },
    );
  const go = () =>
    aim === "pass"
      ? make.mutate(numbers, {
          onSuccess: (result) => toast.success(t("samples.made", { n: result?.made ?? numbers.count })),
        })
      : failing.mutate({ ...numbers, rule });

  return (
    <Dialog title={t("samples.title", { table: table.label })} onClose={onClose} closable wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          go();
        }}
      >
        <p className="quiet">{t("samples.aim")}</p>
        <div className="flex flex-wrap items-end gap-3">
          <SegmentedControl
            name={t("samples.which")}
            value={aim}
            options={[
              ["pass", t("samples.pass")],
              ["fail", t("samples.fail")],
            ]}
            onChange={setAim}
          />
          <label className="flex flex-col gap-1 text-xs">
            {t("samples.count")}
            <input
              className="input input-sm w-28"
              inputMode="numeric"
              value={count}
              onChange={(event) => setCount(event.target.value)}
            />
          </label>
          <label className="flex flex-col gap-1 text-xs" title={t("samples.seedHint")}>
            {t("samples.seed")}
            <input
              className="input input-sm w-20"
              inputMode="numeric"
              value={seed}
              onChange={(event) => setSeed(event.target.value)}
            />
          </label>
          <button type="submit" className="btn btn-primary btn-sm" disabled={make.isPending || failing.isPending}>
            {aim === "pass" ? t("samples.make") : t("samples.show")}
          </button>
          {aim === "pass" && (
            <button type="button" className="btn btn-sm" disabled={make.isPending} onClick={fill}>
              {t("samples.atSize", { n: AT_SIZE })}
            </button>
          )}
        </div>
        {aim === "fail" && (
          <label className="flex flex-col gap-1 text-xs">
            {t("samples.rule")}
            <select className="select select-sm w-full" value={rule} onChange={(event) => setRule(event.target.value)}>
              {rules.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.sentence}
                </option>
              ))}
            </select>
          </label>
        )}
        {error && (
          <p className="text-error" role="alert">
            {error.message}
          </p>
        )}
      </form>
      {aim === "fail" && failing.data && (
        <FailingRecords table={table} records={failing.data.records} wanted={numbers.count} />
      )}
      {made.length > 0 && (
        <section className="mt-5">
          <h3 className="mb-1 text-base">{t("samples.there")}</h3>
          <ul className="divide-y divide-base-300 border-base-300 border-y">
            {made.map((each) => (
              <li key={each.batch} className="flex items-center gap-3 py-1.5">
                <span className="min-w-0 flex-1">{each.summary.replace(/^(Sample records|Made up): /, "")}</span>
                <button
                  type="button"
                  className="btn btn-ghost btn-xs text-error"
                  disabled={undo.isPending}
                  onClick={() => undo.mutate(each.batch, { onSuccess: () => toast(t("samples.takenOut")) })}
                >
                  {t("samples.takeOut")}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}
