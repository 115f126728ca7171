import { TriangleAlert } from "lucide-react";
import { Link } from "react-router";
import type { MapField, MapRule } from "../../api/client";
import { Mark } from "../../components/Mark";
import { RuleSentence } from "../../components/RuleSentence";
import { t, word } from "../../words";
import { type Graph, neighbours, reached } from "./graph";

type Props = { graph: Graph; picked: string; onPick: (id: string) => void };

/** A field or a rule in words, and what is around it: the same answer as the picture's. */
export function NodeDetails({ graph, picked, onPick }: Props) {
  const field = graph.fields.find((each) => each.id === picked);
  const rule = graph.rules.find((each) => each.id === picked);
  if (!field && !rule) return null;
  return (
    <aside
      className="min-h-0 overflow-auto border-base-300 border-l bg-base-100 px-4 py-4"
      aria-label={field?.label ?? rule?.tack}
    >
      {field && <OfField graph={graph} field={field} onPick={onPick} />}
      {rule && <OfRule graph={graph} rule={rule} onPick={onPick} />}
    </aside>
  );
}

type FieldProps = {
  graph: Graph;
  field: MapField;
  /** Whether its name is said elsewhere. */
  bare?: boolean;
  onPick?: ((id: string) => void) | undefined;
};

/** What writes a field, what checks it, what feeds it and what follows from it. */
export function OfField({ graph, field, bare = false, onPick }: FieldProps) {
  const near = neighbours(graph, field.id);
  const feeds = reached(graph, field.id, "feeds");
  const follows = reached(graph, field.id, "follows");
  const fields = (ids: Set<string>) => graph.fields.filter((each) => ids.has(each.id)).map((each) => each.id);
  return (
    <div className="flex flex-col gap-3">
      <div>
        {!bare && (
          <>
            <h2 className="text-lg">{field.label}</h2>
            <p className="quiet text-xs">
              {field.table_label} · {field.type_label.toLowerCase()}
            </p>
          </>
        )}
        {field.note && <p className="mt-1">{field.note}</p>}
        <p className="quiet mt-1">{field.sentence.split(". ")[0]?.replace(/\.?$/, ".")}</p>
      </div>
      <List title={t("map.writes")} graph={graph} ids={near.writtenBy} none={t("map.byHand")} onPick={onPick} />
      <List title={t("map.checks")} graph={graph} ids={near.checkedBy} onPick={onPick} />
      <List title={t("map.feeds")} graph={graph} ids={fields(feeds)} onPick={onPick} />
      <List title={t("map.follows")} graph={graph} ids={fields(follows)} onPick={onPick} />
      <Link className="link w-fit" to={`/t/${field.table}/rules?field=${field.key}`}>
        {t("map.openField")}
      </Link>
    </div>
  );
}

function OfRule({ graph, rule, onPick }: { graph: Graph; rule: MapRule; onPick: (id: string) => void }) {
  const near = neighbours(graph, rule.id);
  return (
    <div className="flex flex-col gap-3">
      <div>
        <h2 className="text-lg">{rule.tack}</h2>
        <p className="quiet text-xs">
          {rule.table_label} · {word(`map.stages.${rule.stage}`)} · {t("map.place", { n: rule.place })}
        </p>
        <RuleSentence rule={rule} className="mt-1" />
        {rule.note && <p className="quiet mt-1">{rule.note}</p>}
      </div>
      {rule.notices.map((notice) => (
        <p key={notice.message} className="flex items-start gap-1.5 text-secondary">
          <TriangleAlert size={14} className="mt-0.5 shrink-0" aria-hidden />
          {notice.message}
        </p>
      ))}
      <List title={t("map.reads")} graph={graph} ids={near.reads} onPick={onPick} />
      <List title={t("map.sets")} graph={graph} ids={[...near.sets, ...near.checks]} onPick={onPick} />
      <Link className="link w-fit" to={`/t/${rule.table}/rules?rule=${rule.id}`}>
        {t("map.openRule")}
      </Link>
    </div>
  );
}

type ListProps = {
  title: string;
  graph: Graph;
  ids: string[];
  none?: string;
  onPick?: ((id: string) => void) | undefined;
};

/** Fields and rules, each a step away; rules in the order in which they act. */
function List({ title, graph, ids, none, onPick }: ListProps) {
  const rules = graph.rules.filter((rule) => ids.includes(rule.id)).sort((one, other) => one.place - other.place);
  const fields = graph.fields.filter((field) => ids.includes(field.id));
  const tables = new Set(graph.fields.filter((field) => ids.includes(field.id)).map((field) => field.table));
  if (rules.length + fields.length === 0 && !none) return null;
  return (
    <div>
      <h3 className="font-semibold text-secondary text-xs uppercase tracking-wide">{title}</h3>
      {rules.length + fields.length === 0 && <p className="quiet">{none}</p>}
      <ul>
        {rules.map((rule) => (
          <li key={rule.id} className="flex items-start gap-1.5">
            <Mark size={10} className="mt-1.5 shrink-0 text-primary" />
            <div className="min-w-0">
              <Go to={`/t/${rule.table}/rules?rule=${rule.id}`} onPick={onPick && (() => onPick(rule.id))}>
                {rule.sentence}
              </Go>
              {rule.note && <p className="quiet text-xs">{rule.note}</p>}
              {rule.notices.map((notice) => (
                <p key={notice.message} className="flex items-start gap-1 text-secondary text-xs">
                  <TriangleAlert size={12} className="mt-0.5 shrink-0" aria-hidden />
                  {notice.message}
                </p>
              ))}
            </div>
          </li>
        ))}
        {fields.map((field) => (
          <li key={field.id}>
            <Go to={`/t/${field.table}/map?pick=${field.id}`} onPick={onPick && (() => onPick(field.id))}>
              {field.label}
            </Go>
            {tables.size > 1 && <span className="quiet text-xs"> {field.table_label}</span>}
          </li>
        ))}
      </ul>
    </div>
  );
}

type GoProps = { to: string; onPick: (() => void) | undefined; children: React.ReactNode };

function Go({ to, onPick, children }: GoProps) {
  return onPick ? (
    <button type="button" className="text-left underline-offset-2 hover:underline" onClick={onPick}>
      {children}
    </button>
  ) : (
    <Link className="underline-offset-2 hover:underline" to={to}>
      {children}
    </Link>
  );
}
