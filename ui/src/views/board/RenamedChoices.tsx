import { useQuery } from "@tanstack/react-query";
import type { components } from "../../api/generated";
import { queryKeys } from "../../api/queryKeys";
import { Dialog } from "../../components/Dialog";
import { Loading } from "../../components/Loading";
import { t } from "../../words";

type Foreseen = components["schemas"]["ChoicesForeseen"];
type Props = { foresee: () => Promise<Foreseen>; onSave: () => void; onClose: () => void };

/** Says what follows when choices are renamed or merged, before it is done. */
export function RenamedChoices({ foresee, onSave, onClose }: Props) {
  // Asked once for each opening: what is shown is what was written when it was opened.
  const found = useQuery({
    queryKey: queryKeys.choicesPreview(),
    queryFn: foresee,
    gcTime: 0,
    staleTime: 0,
    retry: false,
  });
  return (
    <Dialog title={t("choices.followTitle")} onClose={onClose} wide>
      {!found.data &&
        (found.error ? (
          <p role="alert" className="text-error">
            {found.error.message}
          </p>
        ) : (
          <Loading />
        ))}
      {found.data && (
        <div className="flex flex-col gap-4">
          <ul className="divide-y divide-base-300/70">
            {found.data.renamed.map((each) => (
              <li key={`${each.place}-${each.before}`} className="flex flex-wrap items-baseline gap-x-3 py-1.5">
                <span>
                  {each.before} <span className="quiet">→</span> <strong>{each.after}</strong>
                </span>
                <span className="quiet">
                  {each.place}, {t("choices.records", { count: each.count })}
                </span>
                {each.merged && <span className="basis-full text-secondary text-xs">{t("choices.mergedNote")}</span>}
              </li>
            ))}
          </ul>
          <section>
            <h3 className="mb-1 font-semibold">
              {found.data.follows.length === 0
                ? t("choices.followsNone")
                : t("choices.follows", { count: found.data.follows.length })}
            </h3>
            <ul className="max-h-64 divide-y divide-base-300/70 overflow-auto text-[0.8125rem]">
              {found.data.follows.map((each) => (
                <li key={`${each.what}-${each.id}`} className="py-1">
                  {["rule", "filter"].includes(each.what) ? (
                    <>
                      <p className="quiet text-xs">
                        {t(`history.what.${each.what}`)} {each.place}
                      </p>
                      <p className="break-words">{each.after}</p>
                    </>
                  ) : (
                    <p>{each.place}</p>
                  )}
                </li>
              ))}
            </ul>
          </section>
          {found.data.stays.length > 0 && (
            <section>
              <h3 className="mb-1 font-semibold">{t("choices.stays")}</h3>
              <ul className="max-h-40 divide-y divide-base-300/70 overflow-auto text-[0.8125rem]">
                {found.data.stays.map((each) => (
                  <li key={`${each.place}-${each.text}`} className="py-1">
                    <p className="quiet text-xs">{each.place}</p>
                    <p className="break-words">{each.text}</p>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      )}
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.cancel")}
        </button>
        <button type="button" className="btn btn-primary btn-sm" disabled={!found.data} onClick={onSave}>
          {t("choices.followAction")}
        </button>
      </div>
    </Dialog>
  );
}
