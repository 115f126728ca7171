import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { toast } from "sonner";
import type { Expectation, ProofParts, Table } from "../../api/client";
import { suggestEdges, useKeepProofs } from "../../api/proofs";
import { queryKeys } from "../../api/queryKeys";
import { Dialog } from "../../components/Dialog";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { SegmentedControl } from "../../components/SegmentedControl";
import { sentences, t } from "../../words";

export type EdgeWish = { rule?: string; point?: string };
type Suggestion = Awaited<ReturnType<typeof suggestEdges>>["suggestions"][number];
/** Whether what came out is what was meant; "wrong" keeps a proof that expects the contrary. */
type Judgement = "right" | "wrong" | "leave";

type Props = { table: Table; wish: EdgeWish; onTry: (proof: ProofParts) => void; onClose: () => void };

/** Records at the edges of the rules. What comes of each is shown; whether that is right is for the builder to say. */
export function Edges({ table, wish, onTry, onClose }: Props) {
  const [open, setOpen] = useState<"open" | "all">(wish.rule ? "all" : "open");
  const found = useQuery({
    queryKey: queryKeys.edges(table.key, wish, open),
    queryFn: () => suggestEdges(table.key, { ...wish, open: open === "open" }),
    gcTime: 0,
  });
  const [judged, setJudged] = useState<{ [index: number]: Judgement }>({});
  const keep = useKeepProofs(table.key);
  const suggestions = found.data?.suggestions ?? [];
  const chosen = suggestions.flatMap((each, index) => {
    const judgement = judged[index] ?? "leave";
    return judgement === "leave" ? [] : [proofOf(each, judgement)];
  });
  const save = () =>
    keep.mutate(chosen, {
      onSuccess: () => {
        toast.success(t("edges.kept", { count: chosen.length }));
        onClose();
      },
    });

  return (
    <Dialog title={t("edges.title", { table: table.label })} onClose={onClose} wide>
      <p className="quiet mb-3">{t("edges.aim")}</p>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        {!wish.rule && (
          <SegmentedControl
            name={t("edges.which")}
            value={open}
            options={[
              ["open", t("edges.open")],
              ["all", t("edges.all")],
            ]}
            onChange={(value) => {
              setOpen(value);
              setJudged({});
            }}
          />
        )}
        <span className="quiet flex-1 text-xs">{found.data && t("edges.count", { count: suggestions.length })}</span>
        {suggestions.length > 0 && (
          <button
            type="button"
            className="btn btn-ghost btn-sm"
            onClick={() => setJudged(Object.fromEntries(suggestions.map((_, index) => [index, "right"])))}
          >
            {t("edges.allRight")}
          </button>
        )}
      </div>
      {found.isPending && <Loading />}
      {found.error && <Failure error={found.error} retry={found.refetch} />}
      {found.data && !found.data.sound && <p className="mb-2 text-secondary">{t("edges.unsound")}</p>}
      {found.data && suggestions.length === 0 && <p>{t("edges.none")}</p>}
      <ul className="flex max-h-[48vh] flex-col divide-y divide-base-300 overflow-auto border-base-300 border-y">
        {suggestions.map((each, index) => (
          <Line
            key={each.words.join()}
            suggestion={each}
            name={`${index}`}
            judgement={judged[index] ?? "leave"}
            onJudge={(judgement) => setJudged({ ...judged, [index]: judgement })}
            onTry={() => onTry(proofOf(each, "right"))}
          />
        ))}
      </ul>
      {keep.error && (
        <p className="mt-2 text-error" role="alert">
          {keep.error.message}
        </p>
      )}
      <div className="mt-4 flex items-center justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.close")}
        </button>
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={chosen.length === 0 || keep.isPending}
          onClick={save}
        >
          {t("edges.keep", { count: chosen.length })}
        </button>
      </div>
    </Dialog>
  );
}

type LineProps = {
  suggestion: Suggestion;
  name: string;
  judgement: Judgement;
  onJudge: (judgement: Judgement) => void;
  onTry: () => void;
};

function Line({ suggestion, name, judgement, onJudge, onTry }: LineProps) {
  const refused = suggestion.state === "refused";
  const options = [
    ["right", t("edges.right")],
    ["wrong", refused ? t("edges.mustSave") : t("edges.mustRefuse")],
    ["leave", t("edges.leave")],
  ] as const;
  return (
    <li className="flex flex-wrap items-start gap-x-4 gap-y-1 py-2">
      <div className="min-w-0 flex-1 basis-64">
        {suggestion.words.map((each) => (
          <p key={each} className="break-words">
            {each}
          </p>
        ))}
        <p className={`text-xs ${refused ? "text-error" : "text-primary"}`}>
          {refused ? sentences.edges.refused(suggestion.messages) : t("edges.saved")}
          <button type="button" className="link ml-2 text-base-content" onClick={onTry}>
            {t("edges.look")}
          </button>
        </p>
        {cameOut(suggestion).length > 0 && (
          <p className="quiet text-xs">{t("edges.cameOut", { values: cameOut(suggestion).join(" · ") })}</p>
        )}
      </div>
      <fieldset className="join shrink-0">
        <legend className="sr-only">{suggestion.words[0]}</legend>
        {options.map(([key, label]) => (
          <input
            key={key}
            type="radio"
            name={`edge-${name}`}
            aria-label={label}
            checked={judgement === key}
            onChange={() => onJudge(key)}
            className={`btn btn-xs join-item border-base-300 bg-transparent ${MARKED[key]}`}
          />
        ))}
      </fieldset>
    </li>
  );
}

/** Values told of one record, at most. */
const MOST_VALUES = 6;

/** The values that come out, in words; of some fields alone where they are named. */
export const cameOut = ({ expect, expects }: Suggestion, fields?: string[]) =>
  expects
    .filter((_, place) => {
      const each = expect[place];
      return each?.what === "value" && (!fields || fields.includes(each.field ?? ""));
    })
    .slice(0, MOST_VALUES);

/** A judgement that was made is seen at once; leaving is no judgement. */
const MARKED: Record<Judgement, string> = {
  right: "checked:!bg-primary checked:!text-primary-content",
  wrong: "checked:!bg-error checked:!text-error-content",
  leave: "checked:!bg-base-200 checked:!text-base-content",
};

/** What was suggested, as a proof: what came out, or the contrary of it, must come out. */
export function proofOf(suggestion: Suggestion, judgement: Judgement): ProofParts {
  const contrary: Expectation = { what: suggestion.state === "refused" ? "saved" : "refused" };
  const acts = suggestion.script.acts ?? [];
  return {
    ...suggestion.script,
    acts: acts.at(-1)?.do === "save" ? acts : [...acts, { do: "save" }],
    name: (suggestion.words[0] ?? "").slice(0, 120),
    group: t("edges.group"),
    note: suggestion.words.length > 1 ? suggestion.words.slice(1).join("\n").slice(0, 2000) : null,
    expect: judgement === "wrong" ? [contrary] : suggestion.expect,
  };
}
