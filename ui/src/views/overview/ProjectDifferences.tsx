import type { previewProject } from "../../api/project";
import { lowerFirst } from "../../components/lowerFirst";
import { t, word } from "../../words";
import { LongDifference } from "../history/LongDifference";

type Preview = Awaited<ReturnType<typeof previewProject>>;

/** What a project file would add and change, in sentences. */
export default function ProjectDifferences({ preview }: { preview: Preview }) {
  const { differences, people, losses } = preview;
  const added = differences.filter((each) => !each.before);
  const changed = differences.filter((each) => each.before);
  if (differences.length === 0 && people.length === 0) return <p className="mt-2">{t("project.same")}</p>;
  return (
    <div className="mt-2 flex flex-col gap-3">
      <p>{t("project.counts", { count: added.length, changed: changed.length })}</p>
      {losses.map((each) => (
        <p key={each.field} className="font-semibold text-error">
          {t("project.loses", { count: each.values, field: each.field })}
        </p>
      ))}
      {people.length > 0 && (
        <p>
          {t("project.people", {
            names: people
              .map((each) => `${each.name} (${lowerFirst(word(`people.roles.${each.role}`) ?? "")})`)
              .join(", "),
          })}
        </p>
      )}
      <ul
        className="flex max-h-72 flex-col divide-y divide-base-300 overflow-auto border-base-300 border-y
        text-[0.8125rem]"
      >
        {[...changed, ...added].map((each) => (
          <li key={`${each.what}${each.id}`} className="py-1.5">
            <p className="flex items-baseline gap-2">
              <span className={`shrink-0 text-xs ${each.before ? "text-secondary" : "text-primary"}`}>
                {each.before ? t("project.changes") : t("project.adds")}
              </span>
              <span className="min-w-0 break-words font-semibold">{each.place}</span>
            </p>
            <div className="break-words">
              {each.before && each.after ? <LongDifference before={each.before} after={each.after} /> : each.after}
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
