import { useSearchParams } from "react-router";
import { FILTERS, type Question } from "../../api/history";
import { useTableHere } from "../../app/TableFrame";
import { usePermissions } from "../../app/usePermissions";
import { HelpLink } from "../../components/HelpLink";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";
import { Entries } from "./Entries";
import { Filters } from "./Filters";
import { LogExport } from "./LogExport";
import { OverTime } from "./OverTime";
import { Revisions } from "./Revisions";

/** Who changed what, and when: records, and the design itself. */
export default function HistoryView() {
  const table = useTableHere();
  const may = usePermissions();
  const [params, setParams] = useSearchParams();
  const design = may.design && params.get("of") === "design";
  const everything = params.get("of") === "everything";
  const question = asked(params, everything ? undefined : table.key);

  // A change of one part of the address keeps the others.
  const put = (parts: { [name: string]: string | null }) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(parts)) value ? next.set(name, value) : next.delete(name);
    setParams(next, { replace: true });
  };

  return (
    <div className="mx-auto max-w-5xl px-5 pt-5 pb-10">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <div className="min-w-0 flex-1 basis-40">
          <h1 className="text-2xl">{t("views.history")}</h1>
          <p className="quiet">{design ? t("history.designAim") : t("history.aim")}</p>
        </div>
        <HelpLink page="history" />
        <SegmentedControl
          name={t("views.history")}
          value={design ? "design" : everything ? "everything" : "records"}
          options={[
            ["records", table.label],
            ["everything", t("history.everything")],
            ...(may.design ? [["design", t("history.design")] as const] : []),
          ]}
          onChange={(of) => setParams(of === "records" ? {} : { of })}
        />
      </div>
      {design ? (
        <Revisions person={question.person} onPerson={(person) => put({ person })} />
      ) : (
        <>
          <Filters table={everything ? null : table} question={question} put={put} />
          <OverTime question={question} onPick={(from, to) => put({ from, to })} />
          <LogExport question={question} />
          <Entries
            question={question}
            onRecord={(at, id) => setParams(at === table.key ? { record: String(id) } : { of: "everything" })}
            put={put}
          />
        </>
      )}
    </div>
  );
}

function asked(params: URLSearchParams, table: string | undefined): Question {
  const found: { [name: string]: string | number | undefined } = { table };
  for (const name of FILTERS) {
    const value = params.get(name);
    if (value) found[name] = name === "record" || name === "person" ? Number(value) || undefined : value;
  }
  if (!table) for (const name of ["record", "field", "rule"]) delete found[name];
  return found;
}
