import { Plus } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { type Expectation, ProblemError, type ProofParts, type Script, type Table, type Trial } from "../../api/client";
import { useChangeProof, useKeepProofs } from "../../api/proofs";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";
import { beginning, ExpectationRow } from "./ExpectationRow";
import { ProofRecords } from "./ProofRecords";

type Props = {
  table: Table;
  script: Script;
  /** What was seen, to be taken over. */
  proposed: Trial["proposed"];
  /** The proof that is changed, null for a new one. */
  proof: ProofParts | null;
  groups: string[];
  onClose: () => void;
  onKept: (id: string | null) => void;
};

/** Keeps a trial as a proof: what it is called, and what must come out of it. */
export function KeepProof({ table, script, proposed, proof, groups, onClose, onKept }: Props) {
  const [name, setName] = useState(proof?.name ?? "");
  const [group, setGroup] = useState(proof?.group ?? "");
  const [note, setNote] = useState(proof?.note ?? "");
  const [expect, setExpect] = useState<Expectation[]>(
    proof?.expect ?? proposed.filter((each) => each.usual).map((each) => each.expectation),
  );
  const [records, setRecords] = useState(script.records ?? {});
  const saves = (script.acts ?? []).flatMap((act, index) => (act.do === "save" ? [index + 1] : []));
  const keep = useKeepProofs(table.key);
  const change = useChangeProof(table.key);
  const error = keep.error ?? change.error;
  const open = proposed.filter(
    (each) => !expect.some((one) => JSON.stringify(one) === JSON.stringify(each.expectation)),
  );

  const save = async () => {
    const parts: ProofParts = { ...script, records, name, group: group || null, note: note || null, expect };
    try {
      if (proof?.id) {
        await change.mutateAsync({ ...parts, id: proof.id });
        onKept(proof.id);
      } else onKept((await keep.mutateAsync([parts]))?.ids[0] ?? null);
      toast.success(t("proofs.kept", { name }));
      onClose();
    } catch (failed) {
      if (!(failed instanceof ProblemError)) throw failed;
    }
  };

  return (
    <Dialog title={proof ? t("proofs.changeTitle") : t("proofs.keepTitle")} onClose={onClose} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <div className="grid gap-3 sm:grid-cols-[2fr_1fr]">
          <label className="flex flex-col gap-1">
            {t("proofs.name")}
            <input
              className="input w-full"
              value={name}
              maxLength={120}
              placeholder={t("proofs.namePlaceholder")}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <label className="flex flex-col gap-1">
            {t("proofs.group")}
            <input
              className="input w-full"
              value={group}
              list="proof-groups"
              placeholder={t("proofs.groupPlaceholder")}
              onChange={(event) => setGroup(event.target.value)}
            />
            <datalist id="proof-groups">
              {groups.map((each) => (
                <option key={each} value={each} />
              ))}
            </datalist>
          </label>
        </div>
        <fieldset className="flex flex-col gap-2">
          <legend className="mb-1 font-semibold">{t("proofs.must")}</legend>
          {expect.length === 0 && <p className="quiet">{t("proofs.nothingExpected")}</p>}
          <ul className="flex flex-col gap-1.5">
            {expect.map((each, index) => (
              <ExpectationRow
                // biome-ignore lint/suspicious/noArrayIndexKey: what is expected has no name of its own
                key={index}
                table={table}
                value={each}
                saves={saves.slice(0, -1)}
                onChange={(value) => setExpect(expect.map((one, at) => (at === index ? value : one)))}
                onRemove={() => setExpect(expect.filter((_, at) => at !== index))}
              />
            ))}
          </ul>
          <button
            type="button"
            className="btn btn-ghost btn-sm self-start"
            onClick={() => setExpect([...expect, beginning("value", table)])}
          >
            <Plus size={14} aria-hidden />
            {t("proofs.expectMore")}
          </button>
        </fieldset>
        {open.length > 0 && (
          <details>
            <summary className="cursor-pointer font-semibold">{t("proofs.alsoSeen", { count: open.length })}</summary>
            <ul className="mt-1.5 flex max-h-48 flex-col gap-0.5 overflow-auto">
              {open.map((each) => (
                <li key={each.words}>
                  <button
                    type="button"
                    className="flex w-full items-start gap-2 rounded px-1.5 py-0.5 text-left hover:bg-base-200"
                    onClick={() => setExpect([...expect, each.expectation])}
                  >
                    <Plus size={14} className="mt-0.5 shrink-0" aria-hidden />
                    <span className="min-w-0 break-words">{each.words}</span>
                  </button>
                </li>
              ))}
            </ul>
          </details>
        )}
        <ProofRecords records={records} onChange={setRecords} />
        <label className="flex flex-col gap-1">
          {t("proofs.note")}
          <textarea
            className="textarea w-full"
            rows={2}
            value={note}
            placeholder={t("proofs.notePlaceholder")}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        {error && (
          <p className="text-error" role="alert">
            {error.message}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <button type="button" className="btn btn-sm" onClick={onClose}>
            {t("common.cancel")}
          </button>
          <button type="submit" className="btn btn-primary btn-sm" disabled={keep.isPending || change.isPending}>
            {proof ? t("proofs.saveChange") : t("proofs.keepIt")}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
