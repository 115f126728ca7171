import { Link } from "react-router";
import type { Preview, RuleParts, Table } from "../../api/client";
import { words } from "../../words";
import { kindOf } from "./parts/shared";

type Props = { table: Table; parts: RuleParts; preview: Preview; pending: boolean };

/** How many records that exist a rule would refuse, change or fill, counted up while they are looked at. */
export function Effect({ table, parts, preview, pending }: Props) {
  const { effect } = words.rulePanel;
  return (
    <>
      <Lines table={table} parts={parts} preview={preview} />
      {preview.looked_at < preview.total && (
        <p className="quiet flex items-center gap-2">
          {pending && <progress className="progress w-24" value={preview.looked_at} max={preview.total} />}
          {effect.partial(preview.looked_at, preview.total)}
        </p>
      )}
    </>
  );
}

function Lines({ table, parts, preview }: Omit<Props, "pending">) {
  const { effect } = words.rulePanel;
  const { changes = 0, blank = 0, failed = 0, refused = 0, unjudged = 0, locked = 0 } = preview.counts;
  const way = kindOf(table, parts.kind)?.effect;
  switch (way) {
    case "default":
      return (
        <>
          <p>
            {words.rulePanel.opening} <strong className="stitched">{preview.opening || words.rulePanel.nothing}</strong>
            .
          </p>
          <p className="quiet">{effect.default}</p>
        </>
      );
    case "calculation": {
      const stays = parts.keeping === "shown" || preview.fleeting.length > 0;
      return (
        <>
          {parts.keeping === "once" ? (
            <p>{words.calculation.onceEffect}</p>
          ) : (
            <p className="font-semibold">
              {stays
                ? words.calculation.wouldShow(changes, preview.looked_at)
                : words.calculation.wouldChange(changes, preview.looked_at)}
            </p>
          )}
          {failed > 0 && <p className="text-error">{words.calculation.failed(failed)}</p>}
          {blank > 0 && <p className="quiet">{words.calculation.blank(blank)}</p>}
        </>
      );
    }
    case "mask":
      return (
        <>
          <Refused count={refused} preview={preview} let={parts.old === "let"} />
          {changes > 0 && <p>{effect.rewritten(changes)}</p>}
        </>
      );
    case "tidy":
      return (
        <>
          <p className={changes > 0 ? "font-semibold" : "text-success"}>{effect.tidied(changes, preview.looked_at)}</p>
          {changes > 0 && (
            <p className="quiet">
              {effect.tidiedLater}{" "}
              <Link className="link" to={`/t/${table.key}/tidy`}>
                {effect.review}
              </Link>
            </p>
          )}
        </>
      );
    case "dependent_choice":
      return (
        <>
          <p className={refused > 0 ? "font-semibold text-secondary" : "text-success"}>
            {effect.strays(refused, preview.looked_at)}
          </p>
          {refused > 0 && <p className="quiet">{effect.straysStay}</p>}
        </>
      );
    case "fill":
    case "decision": {
      const { same = 0, differs = 0, idle = 0 } = preview.counts;
      const out = way === "fill" ? idle : unjudged;
      return (
        <>
          <p>{words.fillEffect.fill(same, differs)}</p>
          {out > 0 && (
            <p className="quiet">{way === "fill" ? words.fillEffect.none(out) : words.fillEffect.noRow(out)}</p>
          )}
        </>
      );
    }
    case "state":
      return (
        <>
          <p className={refused > 0 ? "font-semibold text-secondary" : "text-success"}>
            {words.state.effect(refused, preview.looked_at)}
          </p>
          {refused > 0 && <p className="quiet">{words.state.stay}</p>}
        </>
      );
    case "copy":
      return <p className="quiet">{effect.default}</p>;
    case "number":
      return (
        <>
          <p>
            {words.numbering.opening} <strong className="stitched">{preview.opening || words.rulePanel.nothing}</strong>
            .
          </p>
          <p className="quiet">{words.numbering.effect(blank)}</p>
        </>
      );
    case "log":
      return (
        <>
          <p className={changes > 0 ? "font-semibold" : ""}>{words.logging.filled(changes, preview.looked_at)}</p>
          {blank > 0 && <p className="quiet">{words.logging.unknown(blank)}</p>}
        </>
      );
    case "line":
      return <p className="quiet">{words.logging.lines}</p>;
    case "lock":
      return <p className="font-semibold">{effect.locked(locked, preview.looked_at)}</p>;
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
          {unjudged > 0 && <p className="quiet">{effect.unjudged(unjudged)}</p>}
        </>
      );
  }
}

type RefusedProps = { count: number; preview: Preview; let: boolean; warn?: boolean; doubles?: boolean };

function Refused({ count, preview, let: lets, warn = false, doubles = false }: RefusedProps) {
  const { effect } = words.rulePanel;
  if (preview.total === 0) return null;
  const say = doubles && count > 0 ? effect.doubles : lets || warn ? effect.strayed : effect.refuses;
  const text = say(count, preview.looked_at);
  return (
    <>
      <p className={count > 0 ? `font-semibold ${lets || warn ? "text-secondary" : "text-error"}` : "text-success"}>
        {text}
      </p>
      {count > 0 && <p className="quiet">{lets ? effect.letBe : warn ? effect.warned : effect.mend}</p>}
    </>
  );
}
