import type { ReactNode } from "react";
import type { Session, Table } from "../../api/client";
import { useLatest } from "../../api/queries";
import { lowerFirst } from "../../components/lowerFirst";
import { showMoment } from "../../components/moments";
import { t, word } from "../../words";
import { PretendClock } from "./PretendClock";
import type { Manner, Setting, Start } from "./useTrial";

type Props = {
  table: Table;
  session: Session | undefined;
  setting: Setting;
  change: (some: Partial<Setting>) => void;
};

/** With which form, from what, as whom, when and in which manner a record is tried. */
export function Setup({ table, session, setting, change }: Props) {
  const records = useLatest(table.key).data?.records ?? [];
  const own = setting.own ? Object.keys(setting.own.records?.[table.key] ?? {}).map(Number) : [];
  const candidates = setting.own ? own.map((id) => ({ id, name: `${table.one} ${id}` })) : records.map(named);
  const pick = (from: Start["from"]) =>
    change({ start: { from, record: from === "new" ? null : (setting.start.record ?? candidates[0]?.id ?? null) } });
  const person = session?.people.find((each) => each.id === setting.person)?.name ?? setting.own?.person?.name;
  const form = table.forms.find((each) => each.id === setting.form)?.name ?? t("bench.noForm");
  const said = [
    setting.start.from === "new" ? t("bench.newRecord") : t(`bench.starts.${setting.start.from}`),
    form,
    t("bench.as", { name: person ?? session?.person.name ?? t("bench.nobody") }),
    setting.at && showMoment(setting.at).replace(/^\w+ /, ""),
    setting.manner === "type" ? t("bench.oneByOne") : t("bench.atOnce"),
  ];
  return (
    <details open={!setting.own} className="group/setup">
      <summary className="quiet flex cursor-pointer items-baseline gap-2 text-xs">
        <span className="shrink-0 font-semibold text-base-content">{t("bench.setup")}</span>
        <span className="min-w-0 group-open/setup:hidden">{said.filter(Boolean).join(" · ")}</span>
      </summary>
      <section className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3" aria-label={t("bench.setup")}>
        <Pick label={t("bench.begin")} value={setting.start.from} onPick={(from) => pick(from as Start["from"])}>
          <option value="new">{t("bench.newRecord")}</option>
          <option value="copy" disabled={candidates.length === 0}>
            {t("bench.copyOf")}
          </option>
          <option value="real" disabled={candidates.length === 0}>
            {setting.own ? t("bench.ownOne") : t("bench.realOne")}
          </option>
        </Pick>
        <Pick label={t("bench.form")} value={setting.form ?? ""} onPick={(id) => change({ form: id || null })}>
          {table.forms.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
          <option value="">{t("bench.noForm")}</option>
        </Pick>
        <Pick
          label={t("bench.manner")}
          value={setting.manner}
          onPick={(manner) => change({ manner: manner as Manner })}
        >
          <option value="type">{t("bench.oneByOne")}</option>
          <option value="fill_in">{t("bench.atOnce")}</option>
        </Pick>
        <Pick
          label={t("bench.person")}
          value={String(setting.person ?? (setting.own ? "" : (session?.person.id ?? "")))}
          onPick={(id) => change({ person: id === "" ? null : Number(id) })}
        >
          {setting.own && (
            <option value="">
              {setting.own.person?.name ?? t("bench.nobody")} · {setting.own.person?.role ?? ""}
            </option>
          )}
          {session?.people.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name} · {lowerFirst(word(`people.roles.${each.role}`) ?? "")}
            </option>
          ))}
        </Pick>
        <PretendClock now={session?.clock.now ?? ""} at={setting.at} setAt={(at) => change({ at })} />
        {setting.start.from !== "new" && (
          <Pick
            label={t("bench.whichRecord")}
            value={String(setting.start.record ?? "")}
            onPick={(id) => change({ start: { ...setting.start, record: Number(id) } })}
          >
            {candidates.map((record) => (
              <option key={record.id} value={record.id}>
                {record.name}
              </option>
            ))}
          </Pick>
        )}
      </section>
    </details>
  );
}

type PickProps = { label: string; value: string; onPick: (value: string) => void; children: ReactNode };

function Pick({ label, value, onPick, children }: PickProps) {
  return (
    <label className="flex min-w-0 flex-col gap-0.5">
      <span className="quiet text-xs">{label}</span>
      <select
        className="select select-sm w-full truncate pr-7"
        value={value}
        onChange={(event) => onPick(event.target.value)}
      >
        {children}
      </select>
    </label>
  );
}

const named = (record: { id: number; title: string; texts: { [key: string]: string } }) => ({
  id: record.id,
  name: [record.title, ...Object.values(record.texts).slice(1, 3)].filter(Boolean).join(" · "),
});
