import { useState } from "react";
import { toast } from "sonner";
import { useTables } from "../../api/queries";
import { useDeleteWebhook, useMakeWebhook, useSwitchWebhook, useTryWebhook, useWebhooks } from "../../api/webhooks";
import { showMoment } from "../../components/moments";
import { t } from "../../words";
import { ShownOnce } from "./ShownOnce";

/** Addresses of other programs that are told of changes: added, tried, switched off and on, deleted. */
export function Webhooks() {
  const webhooks = useWebhooks();
  const tables = useTables();
  const make = useMakeWebhook();
  const [url, setUrl] = useState("");
  const [table, setTable] = useState("");
  return (
    <section className="sheet flex flex-col gap-3 p-4" aria-label={t("webhooks.title")}>
      <div>
        <h2 className="text-base">{t("webhooks.title")}</h2>
        <p className="quiet text-xs">{t("webhooks.aim")}</p>
      </div>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate({ address: url, tables: table ? [table] : null }, { onSuccess: () => setUrl("") });
        }}
      >
        <label className="flex min-w-64 flex-1 flex-col gap-1 text-[0.8125rem]">
          {t("webhooks.address")}
          <input
            className="input input-sm w-full font-mono"
            value={url}
            placeholder="http://127.0.0.1:4900/"
            translate="no"
            onChange={(event) => setUrl(event.target.value)}
          />
        </label>
        <label className="flex flex-col gap-1 text-[0.8125rem]">
          {t("webhooks.tables")}
          <select className="select select-sm" value={table} onChange={(event) => setTable(event.target.value)}>
            <option value="">{t("webhooks.all")}</option>
            {tables.data?.map((each) => (
              <option key={each.key} value={each.key}>
                {each.label}
              </option>
            ))}
          </select>
        </label>
        <button type="submit" className="btn btn-primary btn-sm" disabled={url.trim() === "" || make.isPending}>
          {t("webhooks.make")}
        </button>
      </form>
      {make.error && (
        <p className="text-error" role="alert">
          {make.error.message}
        </p>
      )}
      {make.data && <ShownOnce note={t("webhooks.once")} text={make.data.secret} />}
      {webhooks.data?.length === 0 && <p className="quiet">{t("webhooks.none")}</p>}
      {webhooks.data && webhooks.data.length > 0 && (
        <ul className="flex flex-col text-[0.8125rem]">
          {webhooks.data.map((webhook) => (
            <Row key={webhook.id} webhook={webhook} labels={labels(webhook.tables, tables.data ?? [])} />
          ))}
        </ul>
      )}
    </section>
  );
}

type Webhook = NonNullable<ReturnType<typeof useWebhooks>["data"]>[number];

const labels = (keys: string[] | null, tables: { key: string; label: string }[]) =>
  keys === null
    ? t("webhooks.all")
    : keys.map((key) => tables.find((each) => each.key === key)?.label ?? key).join(", ");

function Row({ webhook, labels }: { webhook: Webhook; labels: string }) {
  const change = useSwitchWebhook();
  const remove = useDeleteWebhook();
  const attempt = useTryWebhook();
  const busy = change.isPending || remove.isPending || attempt.isPending;
  return (
    <li className="flex flex-col gap-0.5 border-base-300/60 border-t py-1.5">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-40 break-all font-mono">{webhook.address}</span>
        <span>{labels}</span>
        <span className="quiet flex-1">{state(webhook)}</span>
        <button
          type="button"
          className="link text-xs"
          disabled={busy}
          onClick={() =>
            attempt.mutate(webhook.id, {
              onSuccess: ({ problem }) => (problem ? toast.error(problem) : toast(t("webhooks.accepted"))),
            })
          }
        >
          {t("webhooks.try")}
        </button>
        <button
          type="button"
          className="link text-xs"
          disabled={busy}
          onClick={() => change.mutate({ id: webhook.id, active: !webhook.active })}
        >
          {webhook.active ? t("webhooks.off") : t("webhooks.on")}
        </button>
        <button
          type="button"
          className="link text-error text-xs"
          disabled={busy}
          onClick={() => remove.mutate(webhook.id)}
        >
          {t("webhooks.delete")}
        </button>
      </div>
      {webhook.problem && (
        <p className="text-error text-xs" role="status">
          {webhook.problem}
          {webhook.active &&
            webhook.next_at &&
            ` ${t("webhooks.again", { at: showMoment(webhook.next_at.slice(0, 16)) })}`}
        </p>
      )}
    </li>
  );
}

function state(webhook: Webhook) {
  if (!webhook.active) return t("webhooks.isOff", { count: webhook.waiting });
  if (webhook.waiting > 0) return t("webhooks.waiting", { count: webhook.waiting });
  return webhook.told_at ? t("webhooks.told", { at: showMoment(webhook.told_at.slice(0, 16)) }) : t("webhooks.ready");
}
