import { useEffect, useState } from "react";
import { useSearchParams } from "react-router";
import { toast } from "sonner";
import { ProblemError, type ProofParts, type Script, type Trial } from "../../api/client";
import { getProof, play, useDropProof, useProofs } from "../../api/proofs";
import { useSession } from "../../api/queries";
import { noteTrial } from "../../app/firstSteps";
import { useTableHere } from "../../app/TableFrame";
import { HelpLink } from "../../components/HelpLink";
import { FormLayout } from "../../components/record/FormLayout";
import { LineList } from "../../components/record/LineList";
import { OwnRecordsContext } from "../../components/record/OwnRecordsContext";
import { WhyContext } from "../../components/record/WhyContext";
import { WithNewLinked } from "../../components/record/WithNewLinked";
import { t } from "../../words";
import { Acts } from "./Acts";
import { Edges, type EdgeWish } from "./Edges";
import { KeepProof } from "./KeepProof";
import { Missing } from "./Missing";
import { Mistakes } from "./Mistakes";
import { Outcome } from "./Outcome";
import { ProofHead } from "./ProofHead";
import { ProofList } from "./ProofList";
import { pretend } from "./pretendClock";
import { Samples } from "./Samples";
import { Setup } from "./Setup";
import { Trace } from "./Trace";
import { typedIn } from "./typedIn";
import { BEGINNING, formOf, type Setting, useTrial } from "./useTrial";

type Shown = "edges" | "missing" | "samples" | "mistakes";

/** Where records are tried as anybody, on any day, without touching the real ones, and where proofs are kept. */
export default function BenchView() {
  return (
    <WithNewLinked>
      <Bench />
    </WithNewLinked>
  );
}

function Bench() {
  const table = useTableHere();
  const session = useSession();
  const [params, setParams] = useSearchParams();
  const [typedFirst] = useState(() => typedIn(params));
  const [begin] = useState<Setting>(() => {
    const copied = Number(params.get("copy"));
    return copied ? { ...BEGINNING, start: { from: "copy", record: copied } } : BEGINNING;
  });
  const bench = useTrial(table, begin, typedFirst);
  const { trial, draft, setting } = bench;
  const [why, setWhy] = useState<string | null>(null);
  const [proof, setProof] = useState<ProofParts | null>(null);
  const [shown, setShown] = useState<Shown | null>(params.get("show") as Shown | null);
  const [wish, setWish] = useState<EdgeWish>({});
  const [keeping, setKeeping] = useState<{ script: Script; proposed: Trial["proposed"] } | null>(null);
  const proofs = useProofs();
  const drop = useDropProof(table.key);
  const wanted = params.get("proof");
  const { load } = bench;

  const open = async (id: string) => {
    try {
      const { proof: found } = await getProof(table.key, id);
      setProof(found);
      setWhy(null);
      load(found);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: opened when another proof is wanted
  useEffect(() => {
    if (wanted && wanted !== proof?.id) open(wanted);
  }, [wanted, table.key]);

  // The bar shows the bench's clock, as the server understood it.
  const understood =
    (setting.at || bench.acts.some((act) => act.do === "wait")) && !draft.failure ? (trial?.clock ?? null) : null;
  useEffect(() => pretend(understood), [understood]);
  useEffect(() => () => pretend(null), []);

  const tried = Object.keys(draft.typed).length > 0;
  useEffect(() => {
    if (tried) noteTrial();
  }, [tried]);

  const putAside = () => {
    setProof(null);
    setParams({}, { replace: true });
    bench.restart(BEGINNING);
  };

  const keep = async () => {
    try {
      const script = await bench.whole();
      const found = await play(table.key, { ...script, person_id: setting.person, propose: true });
      setKeeping({ script: found.script, proposed: found.proposed });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };

  const change = (some: Partial<Setting>) => {
    if ("start" in some) bench.restart(some);
    else bench.setSetting({ ...setting, ...some });
  };

  const form = formOf(table, setting);
  /** The real record at hand; one that only the trial knows has no number here. */
  const record = !setting.own && setting.start.from === "real" ? setting.start.record : null;
  const line = proofs.data?.proofs.find((each) => each.id === proof?.id);
  return (
    <div
      className="grid min-h-full items-start gap-4 p-4 lg:h-full lg:grid-cols-[16rem_minmax(0,1fr)_22rem]
      lg:grid-rows-[minmax(0,1fr)]"
    >
      <ProofList
        table={table}
        proofs={proofs.data}
        open={proof?.id ?? null}
        onOpen={(each) => setParams({ proof: each.id }, { replace: true })}
        onShow={(what) => {
          setWish({});
          setShown(what);
        }}
      />
      <section className="sheet flex h-full min-h-0 flex-col overflow-auto px-5 pt-4" aria-label={t("bench.trial")}>
        {proof ? (
          <ProofHead
            proof={proof}
            line={line}
            trial={trial}
            onChange={keep}
            onDrop={() =>
              proof.id &&
              drop.mutate(proof.id, {
                onSuccess: () => {
                  toast(t("proofs.dropped", { name: proof.name }));
                  putAside();
                },
              })
            }
            onClose={putAside}
          />
        ) : (
          <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
            <h1 className="text-xl">{t("bench.trial")}</h1>
            <p className="quiet flex-1 text-xs">{t("bench.aim")}</p>
            <HelpLink page="proofs" />
            {(Object.keys(draft.typed).length > 0 || bench.acts.length > 0) && (
              <button type="button" className="link text-xs" onClick={() => bench.restart()}>
                {t("bench.clear")}
              </button>
            )}
          </div>
        )}
        <div className="mb-4 border-base-300 border-b pb-3">
          <Setup table={table} session={session.data} setting={setting} change={change} />
        </div>
        {draft.failure && (
          <p className="mb-3 text-error" role="alert">
            {draft.failure}
          </p>
        )}
        <WhyContext value={setWhy}>
          <OwnRecordsContext value={setting.own?.records ?? null}>
            <div className="flex-1">
              {form && (
                <FormLayout
                  table={table}
                  form={form}
                  id={record}
                  draft={draft}
                  lines={(item) => <LineList table={table} id={record} item={item} draft={draft} lines={bench.lines} />}
                />
              )}
            </div>
          </OwnRecordsContext>
        </WhyContext>
        <Acts table={table} bench={bench} />
      </section>
      <div className="flex h-full min-h-0 flex-col gap-3">
        {trial && <Outcome trial={trial} onKeep={keep} />}
        {trial && <Trace table={table} trial={trial} why={why} onForget={() => setWhy(null)} />}
      </div>
      {keeping && (
        <KeepProof
          table={table}
          script={keeping.script}
          proposed={keeping.proposed}
          proof={proof?.id ? proof : null}
          groups={[...new Set((proofs.data?.proofs ?? []).flatMap((each) => each.group ?? []))]}
          onClose={() => setKeeping(null)}
          onKept={(id) => {
            if (id === wanted && id) open(id);
            else if (id) setParams({ proof: id }, { replace: true });
          }}
        />
      )}
      {shown === "edges" && (
        <Edges
          table={table}
          wish={wish}
          onClose={() => setShown(null)}
          onTry={(found) => {
            setShown(null);
            setProof({ ...found, id: undefined });
            setParams({}, { replace: true });
            bench.load(found);
          }}
        />
      )}
      {shown === "missing" && (
        <Missing
          table={table}
          covered={proofs.data?.coverage.filter((each) => each.table === table.key) ?? []}
          onMake={(next) => {
            setWish(next);
            setShown("edges");
          }}
          onClose={() => setShown(null)}
        />
      )}
      {shown === "mistakes" && (
        <Mistakes
          table={table}
          onClose={() => setShown(null)}
          onTry={(found) => {
            setShown(null);
            setProof({ ...found, id: undefined });
            setParams({}, { replace: true });
            bench.load(found);
          }}
        />
      )}
      {shown === "samples" && <Samples table={table} onClose={() => setShown(null)} />}
    </div>
  );
}
