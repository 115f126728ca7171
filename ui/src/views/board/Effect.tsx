import { Link } from "react-router";
import type { Preview, RuleParts, Table } from "../../api/client";
import { t } from "../../words";
import { kindOf } from "./parts/shared";

type Props = { table: Table; parts: RuleParts; preview: Preview; pending: boolean };

/** How many records that exist a rule would refuse, change or fill, counted up while they are looked at. */
export function Effect({ table, parts, preview, pending }: Props) {
  return (
    <>
      <Lines table={table} parts={parts} preview={preview} />
      {preview.looked_at < preview.total && (
        <p className="quiet flex items-center gap-2">
          {pending && <progress className="progress w-24" value={preview.looked_at} max={preview.total} />}
          {t("rulePanel.effect.partial", { n: preview.looked_at, total: preview.total })}
        </p>
      )}
    </>
  );
}

function Lines({ table, parts, preview }: Omit<Props, "pending">) {
  const { changes = 0, blank = 0, failed = 0, refused = 0, unjudged = 0, locked = 0 } = preview.counts;
  const way = kindOf(table, parts.kind)?.effect;
  switch (way) {
    case "default":
      return (
        <>
          <p>
            {t("rulePanel.opening")} <strong className="stitched">{preview.opening || t("rulePanel.nothing")}</strong>.
          </p>
          <p className="quiet">{t("rulePanel.effect.default")}</p>
        </>
      );
    case "calculation": {
      const stays = parts.keeping === "shown" || preview.fleeting.length > 0;
      return (
        <>
          {parts.keeping === "once" ? (
            <p>{t("calculation.onceEffect")}</p>
          ) : (
            <p className="font-semibold">
              {stays
                ? t("calculation.wouldShow", { count: changes, total: preview.looked_at })
                : t("calculation.wouldChange", { count: changes, total: preview.looked_at })}
            </p>
          )}
          {failed > 0 && <p className="text-error">{t("calculation.failed", { count: failed })}</p>}
          {blank > 0 && <p className="quiet">{t("calculation.blank", { count: blank })}</p>}
        </>
      );
    }
    case "mask":
      return (
        <>
          <Refused count={refused} preview={preview} let={parts.old === "let"} />
          {changes > 0 && <p>{t("rulePanel.effect.rewritten", { count: changes })}</p>}
        </>
      );
    case "tidy":
      return (
        <>
          <p className={changes > 0 ? "font-semibold" : "text-success"}>
            {t("rulePanel.effect.tidied", { count: changes, total: preview.looked_at })}
          </p>
          {changes > 0 && (
            <p className="quiet">
              {t("rulePanel.effect.tidiedLater")}{" "}
              <Link className="link" to={`/t/${table.key}/tidy`}>
                {t("rulePanel.effect.review")}
              </Link>
            </p>
          )}
        </>
      );
    case "dependent_choice":
      return (
        <>
          <p className={refused > 0 ? "font-semibold text-secondary" : "text-success"}>
            {t("rulePanel.effect.strays", { count: refused, total: preview.looked_at })}
          </p>
          {refused > 0 && <p className="quiet">{t("rulePanel.effect.straysStay")}</p>}
        </>
      );
    case "fill":
    case "decision": {
      const { same = 0, differs = 0, idle = 0 } = preview.counts;
      const out = way === "fill" ? idle : unjudged;
      return (
        <>
          <p>{t("fillEffect.fill", { same, differs })}</p>
          {out > 0 && (
            <p className="quiet">
              {way === "fill" ? t("fillEffect.none", { count: out }) : t("fillEffect.noRow", { count: out })}
            </p>
          )}
        </>
      );
    }
    case "state":
      return (
        <>
          <p className={refused > 0 ? "font-semibold text-secondary" : "text-success"}>
            {t("state.effect", { count: refused, total: preview.looked_at })}
          </p>
          {refused > 0 && <p className="quiet">{t("state.stay")}</p>}
        </>
      );
    case "copy":
      return <p className="quiet">{t("rulePanel.effect.default")}</p>;
    case "number":
      return (
        <>
          <p>
            {t("numbering.opening")} <strong className="stitched">{preview.opening || t("rulePanel.nothing")}</strong>.
          </p>
          <p className="quiet">{t("numbering.effect", { count: blank })}</p>
        </>
      );
    case "log":
      return (
        <>
          <p className={changes > 0 ? "font-semibold" : ""}>
            {t("logging.filled", { count: changes, total: preview.looked_at })}
          </p>
          {blank > 0 && <p className="quiet">{t("logging.unknown", { n: blank })}</p>}
        </>
      );
    case "line":
      return <p className="quiet">{t("logging.lines")}</p>;
    case "lock":
      return <p className="font-semibold">{t("rulePanel.effect.locked", { n: locked, total: preview.looked_at })}</p>;
    default:
      return (
        <>
          <Refused
            count={refused}
            preview={preview}
            let={parts.old === "let"}
            warn={parts.severity === "warn"}
            doubles={way === "unique"}
          />
          {unjudged > 0 && <p className="quiet">{t("rulePanel.effect.unjudged", { n: unjudged })}</p>}
        </>
      );
  }
}

type RefusedProps = { count: number; preview: Preview; let: boolean; warn?: boolean; doubles?: boolean };

function Refused({ count, preview, let: lets, warn = false, doubles = false }: RefusedProps) {
  if (preview.total === 0) return null;
  const numbers = { count, total: preview.looked_at };
  const strayed = lets || warn ? t("rulePanel.effect.strayed", numbers) : t("rulePanel.effect.refuses", numbers);
  const text = doubles && count > 0 ? t("rulePanel.effect.doubles", { n: count, total: preview.looked_at }) : strayed;
  return (
    <>
      <p className={count > 0 ? `font-semibold ${lets || warn ? "text-secondary" : "text-error"}` : "text-success"}>
        {text}
      </p>
      {count > 0 && (
        <p className="quiet">
          {lets ? t("rulePanel.effect.letBe") : warn ? t("rulePanel.effect.warned") : t("rulePanel.effect.mend")}
        </p>
      )}
    </>
  );
}
