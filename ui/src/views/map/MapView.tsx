import { X } from "lucide-react";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { useMap } from "../../api/queries";
import { useTableHere } from "../../app/TableFrame";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";
import { GraphCanvas } from "./GraphCanvas";
import { part } from "./graph";
import { MapList } from "./MapList";
import { NodeDetails } from "./NodeDetails";

/** What feeds what: fields and rules as a picture, or the same as a list. */
export default function MapView() {
  const table = useTableHere();
  const [params, setParams] = useSearchParams();
  const [way, setWay] = useState<"graph" | "list">("graph");
  const [checks, setChecks] = useState(false);
  const picked = params.get("pick");
  const map = useMap();
  const shown = useMemo(
    () => (map.data ? part(map.data, table.key, picked, checks || way === "list") : null),
    [map.data, table.key, picked, checks, way],
  );
  const pick = (id: string | null) => setParams(id ? { pick: id } : {}, { replace: true });

  if (!map.data || !shown) return map.error ? <Failure error={map.error} retry={map.refetch} /> : <Loading />;
  const nodes = [...map.data.fields, ...map.data.rules].filter((node) => node.table === table.key);
  return (
    <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-end gap-3 px-5 pt-5 pb-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-2xl">{t("map.title")}</h1>
          {table.note && <p>{table.note}</p>}
          <p className="quiet">{t("map.aim")}</p>
        </div>
        <HelpLink page="successors" />
        <select
          className="select select-sm w-56"
          aria-label={t("map.find")}
          value={picked ?? ""}
          onChange={(event) => pick(event.target.value || null)}
        >
          <option value="">{t("map.find")}</option>
          {nodes.map((node) => (
            <option key={node.id} value={node.id}>
              {"tack" in node ? `⊥ ${node.tack}` : node.label}
            </option>
          ))}
          {picked && !nodes.some((node) => node.id === picked) && <option value={picked}>{picked}</option>}
        </select>
        {picked && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => pick(null)}>
            <X size={14} aria-hidden />
            {t("map.clear")}
          </button>
        )}
        {way === "graph" && !picked && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={checks}
              onChange={() => setChecks(!checks)}
            />
            {t("map.withChecks")}
          </label>
        )}
        <SegmentedControl
          name={t("map.title")}
          value={way}
          options={[
            ["graph", t("map.graph")],
            ["list", t("map.list")],
          ]}
          onChange={setWay}
        />
      </div>
      {shown.rules.length === 0 ? (
        <p className="quiet px-5">{t("map.empty")}</p>
      ) : (
        <div className={`grid min-h-0 ${picked ? "lg:grid-cols-[minmax(0,1fr)_22rem]" : ""}`}>
          {way === "graph" ? (
            <GraphCanvas graph={shown} table={table.key} picked={picked} onPick={pick} />
          ) : (
            <MapList graph={shown} all={map.data} onPick={pick} />
          )}
          {picked && <NodeDetails graph={map.data} picked={picked} onPick={pick} />}
        </div>
      )}
    </div>
  );
}
