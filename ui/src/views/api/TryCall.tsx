import { useState } from "react";
import { address } from "../../api/address";
import { writeHeaders } from "../../api/client";
import type { Document, Operation, Parameter } from "../../api/tokens";
import { t } from "../../words";
import { curlOf, exampleOfBody } from "./example";

type Props = { document: Document; method: string; path: string; operation: Operation; parameters: Parameter[] };
type Answer = { status: number; text: string };

/** Characters of an answer that are shown. */
const LONGEST = 20_000;

/** A call as it would be made from a shell, and made at once with what is typed here. */
export function TryCall({ document, method, path, operation, parameters }: Props) {
  const [type, media] = Object.entries(operation.requestBody?.content ?? {})[0] ?? [null, undefined];
  const json = type?.includes("json") ?? false;
  const [given, setGiven] = useState<{ [name: string]: string }>({});
  const [body, setBody] = useState(() =>
    json ? JSON.stringify(media ? exampleOfBody(document, media) : null, null, 2) : "",
  );
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [busy, setBusy] = useState(false);
  const asked = parameters.filter((each) => each.in === "path" || each.in === "query");

  const query = new URLSearchParams(
    asked.flatMap(({ name = "", in: where }) => (where === "query" && given[name] ? [[name, given[name]]] : [])),
  ).toString();
  const filled = path.replace(/\{(\w+)\}/g, (gap, name: string) =>
    given[name] ? encodeURIComponent(given[name]) : gap,
  );
  const target = address(filled) + (query ? `?${query}` : "");
  const missing = asked.some(({ name = "", in: where, required }) => (where === "path" || required) && !given[name]);

  const send = async () => {
    setBusy(true);
    try {
      const response = await fetch(target, {
        method: method.toUpperCase(),
        headers: method === "get" ? {} : writeHeaders(),
        body: method !== "get" && json ? body : null,
      });
      setAnswer({ status: response.status, text: readable(await response.text()) });
    } catch {
      setAnswer({ status: 0, text: t("docs.unreachable") });
    } finally {
      setBusy(false);
    }
  };

  return (
    <section className="flex flex-col gap-2" aria-label={t("docs.tryIt")}>
      <h3 className="text-xs">{t("docs.tryIt")}</h3>
      {asked.length > 0 && (
        <div className="flex flex-wrap gap-3">
          {asked.map(({ name = "", required, in: where }) => (
            <label key={name} className="flex flex-col gap-0.5 font-mono text-xs">
              {name}
              <input
                className="input input-xs w-40"
                value={given[name] ?? ""}
                required={required || where === "path"}
                onChange={(event) => setGiven({ ...given, [name]: event.target.value })}
              />
            </label>
          ))}
        </div>
      )}
      {json && (
        <textarea
          className="textarea w-full font-mono text-xs"
          aria-label={t("docs.body")}
          rows={Math.min(body.split("\n").length, 14)}
          spellCheck={false}
          value={body}
          onChange={(event) => setBody(event.target.value)}
        />
      )}
      <pre className="overflow-auto rounded bg-base-200 px-3 py-2 font-mono text-xs">
        {curlOf(method, `${window.location.origin}${target}`, method === "get" ? null : type, body)}
      </pre>
      {(json || !type) && (
        <div className="flex flex-wrap items-center gap-3">
          <button type="button" className="btn btn-sm" disabled={busy || missing} onClick={send}>
            {t("docs.send")}
          </button>
          <span className="quiet text-xs">{method === "get" ? t("docs.asYou") : t("docs.forReal")}</span>
        </div>
      )}
      {answer && (
        <div role="status">
          <p className={`font-semibold text-xs ${answer.status < 400 && answer.status > 0 ? "" : "text-error"}`}>
            {t("docs.answered", { status: String(answer.status) })}
          </p>
          {answer.text && (
            // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so keys must reach it
            <pre tabIndex={0} className="mt-1 max-h-72 overflow-auto rounded border border-base-300 px-3 py-2 text-xs">
              {answer.text}
            </pre>
          )}
        </div>
      )}
    </section>
  );
}

/** JSON over several lines; anything else as it came, as far as it can be looked at. */
function readable(text: string): string {
  let shown = text;
  try {
    shown = JSON.stringify(JSON.parse(text), null, 2);
  } catch {
    // It is no JSON.
  }
  return shown.length > LONGEST ? `${shown.slice(0, LONGEST)}…` : shown;
}
