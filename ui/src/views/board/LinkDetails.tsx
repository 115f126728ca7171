import { useState } from "react";
import { toast } from "sonner";
import { type Field, ProblemError, type Table } from "../../api/client";
import { useBringDetail, useNames } from "../../api/queries";
import { SegmentedControl } from "../../components/SegmentedControl";
import { t } from "../../words";

/** Brings a detail of the linked record in: as a value that follows it, or copied when the link is chosen. */
export function LinkDetails({ table, link }: { table: Table; link: Field }) {
  const fields = useNames().data?.find((each) => each.key === link.target)?.fields ?? [];
  const [key, setKey] = useState("");
  const [way, setWay] = useState<"live" | "copy">("live");
  const bring = useBringDetail(table.key);
  const detail = fields.find((each) => each.key === key && each.kind !== "link");
  return (
    <fieldset className="flex flex-col gap-2 rounded border border-base-300 px-3 py-2">
      <legend className="px-1 font-semibold">{t("link.details")}</legend>
      <div className="flex items-center gap-2">
        <select
          aria-label={t("link.detail")}
          className="select select-sm min-w-0 flex-1"
          value={key}
          onChange={(event) => setKey(event.target.value)}
        >
          <option value="">{t("pieces.pickField")}</option>
          {fields
            .filter((each) => each.kind !== "link")
            .map((each) => (
              <option key={each.key} value={each.key}>
                {each.label}
              </option>
            ))}
        </select>
        <SegmentedControl
          name={t("link.how")}
          value={way}
          options={[
            ["live", t("link.live")],
            ["copy", t("link.copied")],
          ]}
          onChange={setWay}
        />
      </div>
      <p className="quiet text-xs">{way === "live" ? t("link.liveMeans") : t("link.copiedMeans")}</p>
      <button
        type="button"
        className="btn btn-sm w-fit"
        disabled={!detail || bring.isPending}
        onClick={() =>
          detail &&
          bring.mutate(
            { link: link.key, detail: detail.key, copy: way === "copy" },
            { onSuccess: () => toast(t("link.brought", { label: detail.label })) },
          )
        }
      >
        {t("link.bring")}
      </button>
      {bring.error instanceof ProblemError && (
        <p className="text-error" role="alert">
          {bring.error.message}
        </p>
      )}
    </fieldset>
  );
}
