import { Link } from "react-router";
import { type Space, useSpace } from "../../api/maintenance";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { sentences, t } from "../../words";

/** What takes space in the database and beside it, and when the disk will be full. */
export default function SpaceUsed() {
  const space = useSpace();
  if (!space.data) return space.error ? <Failure error={space.error} retry={space.refetch} /> : <Loading />;
  const { parts, database } = space.data;
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-5 px-5 py-6">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("space.title")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("space.aim")}</p>
        <HelpLink page="backup" />
        <Link to="/backups" className="btn btn-sm">
          {t("care.link")}
        </Link>
      </div>
      <Sums space={space.data} />
      <section className="sheet p-4" aria-label={t("space.parts")}>
        <h2 className="mb-3 font-semibold">{t("space.parts")}</h2>
        <table className="w-full text-[0.8125rem]">
          <tbody>
            {parts.map((part) => (
              <tr key={`${part.what} ${part.label}`}>
                <th className="w-1/3 py-1 pr-3 text-left font-normal" title={t(`space.explained.${part.what}`)}>
                  {part.label ?? t(`space.what.${part.what}`)}
                </th>
                <td className="py-1">
                  <div className="h-2.5 rounded-sm bg-base-200">
                    <div
                      className="h-full rounded-sm bg-secondary"
                      style={{ width: `${Math.max((part.bytes / database) * 100, 0.5)}%` }}
                    />
                  </div>
                </td>
                <td className="w-24 py-1 pl-3 text-right tabular-nums">{sentences.care.size(part.bytes)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet mt-3 text-xs">{t("space.note")}</p>
      </section>
    </div>
  );
}

function Sums({ space }: { space: Space }) {
  const { size } = sentences.care;
  const sums: [string, string][] = [
    [t("space.database"), size(space.database + space.waiting)],
    ...(space.log_files > 0 ? [[t("space.logFiles"), size(space.log_files)] as [string, string]] : []),
    [t("space.backups"), size(space.backups)],
    [t("space.free"), space.disk_free === null ? t("space.unknown") : size(space.disk_free)],
    [t("space.daily"), space.daily === null ? t("space.later") : size(space.daily)],
    [t("space.full"), space.days === null ? "–" : sentences.care.days(space.days)],
  ];
  return (
    <dl className="sheet grid grid-cols-2 gap-x-6 gap-y-4 p-4 sm:auto-cols-fr sm:grid-flow-col sm:grid-cols-none">
      {sums.map(([name, value]) => (
        <div key={name}>
          <dt className="text-secondary text-xs">{name}</dt>
          <dd className="tabular-nums">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
