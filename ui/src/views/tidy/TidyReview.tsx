import { useInfiniteQuery, useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { toast } from "sonner";
import { api, data, ProblemError } from "../../api/client";
import { awaitJob } from "../../api/jobs";
import { useUndoBatch } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { useTableHere } from "../../app/TableFrame";
import { Confirm } from "../../components/Confirm";
import { Failure } from "../../components/Failure";
import { HelpLink } from "../../components/HelpLink";
import { Loading } from "../../components/Loading";
import { sentences, t } from "../../words";
import { ReviewSchedule } from "./ReviewSchedule";
import { type Suggestion, SuggestionLine } from "./SuggestionLine";

const keyOf = (each: Suggestion) => `${each.id}/${each.field}`;

/** What clean-ups suggest for the texts that are there, side by side, to accept or ignore. */
export default function TidyReview() {
  const table = useTableHere();
  const client = useQueryClient();
  const undo = useUndoBatch();
  const [picked, setPicked] = useState<Set<string>>(new Set());
  const [asking, setAsking] = useState(false);
  const [told, setTold] = useState<{ id: number; title: string; message: string }[]>([]);
  const pages = useInfiniteQuery({
    queryKey: queryKeys.suggestions(table.key),
    queryFn: ({ pageParam }) =>
      data(
        api.GET("/api/tables/{table}/suggestions", {
          params: { path: { table: table.key }, query: { offset: pageParam } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (page, all) => {
      const seen = all.reduce((sum, each) => sum + each.suggestions.length, 0);
      return page.suggestions.length > 0 && seen < page.count ? seen : undefined;
    },
  });
  const all = pages.data?.pages.flatMap((page) => page.suggestions) ?? [];
  const count = pages.data?.pages[0]?.count ?? 0;
  const ignored = pages.data?.pages[0]?.ignored ?? 0;
  const chosen = all.filter((each) => picked.has(keyOf(each)));

  const done = () => {
    setPicked(new Set());
    client.invalidateQueries();
  };
  const what = (some: Suggestion[] | null) => ({
    picked: some?.map(({ id, field, before }) => ({ id, field, before })) ?? null,
  });
  const accept = useMutation({
    mutationFn: (some: Suggestion[] | null) =>
      awaitJob(
        api.POST("/api/tables/{table}/suggestions/accept", {
          params: { path: { table: table.key } },
          body: what(some),
        }),
      ),
    onSuccess: (result) => {
      done();
      setTold(result.refused);
      const text = sentences.tidyReview.accepted(result.saved, result.left);
      const batch = result.batch;
      if (batch) toast.success(text, { action: { label: t("shell.undo"), onClick: () => undo.mutate(batch) } });
      else toast(text);
    },
  });
  const ignore = useMutation({
    mutationFn: (some: Suggestion[] | null) =>
      data(
        api.POST("/api/tables/{table}/suggestions/ignore", {
          params: { path: { table: table.key } },
          body: what(some),
        }),
      ),
    onSuccess: (result) => {
      done();
      toast(t("tidyReview.ignored", { count: result.ignored }));
    },
  });
  const again = useMutation({
    mutationFn: () =>
      data(api.DELETE("/api/tables/{table}/suggestions/ignored", { params: { path: { table: table.key } } })),
    onSuccess: done,
  });
  const problem = [accept.error, ignore.error].find((each) => each instanceof ProblemError);

  if (!pages.data) return pages.error ? <Failure error={pages.error} retry={pages.refetch} /> : <Loading />;
  const toggle = (each: Suggestion) => {
    const next = new Set(picked);
    if (!next.delete(keyOf(each))) next.add(keyOf(each));
    setPicked(next);
  };
  const some = chosen.length > 0 ? chosen : null;
  return (
    <div className="mx-auto max-w-5xl px-5 pt-5 pb-10">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <div className="min-w-0 flex-1 basis-60">
          <h1 className="text-2xl">{t("tidyReview.title", { table: table.label })}</h1>
          <p className="quiet">{t("tidyReview.aim")}</p>
        </div>
        <HelpLink page="clean-up" />
        {ignored > 0 && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => again.mutate()}>
            {t("tidyReview.again", { n: ignored })}
          </button>
        )}
        {count > 0 && (
          <>
            <button type="button" className="btn btn-sm" onClick={() => ignore.mutate(some)}>
              {some ? t("tidyReview.ignoreSome", { n: some.length }) : t("tidyReview.ignoreAll", { count })}
            </button>
            <button
              type="button"
              className="btn btn-primary btn-sm"
              disabled={accept.isPending}
              onClick={() => (some || count === 1 ? accept.mutate(some) : setAsking(true))}
            >
              {some ? t("tidyReview.acceptSome", { n: some.length }) : t("tidyReview.acceptAll", { count })}
            </button>
          </>
        )}
      </div>
      <ReviewSchedule table={table} />
      {problem && (
        <p role="alert" className="mb-3 text-error">
          {problem.message}
        </p>
      )}
      {told.length > 0 && (
        <ul role="alert" className="mb-4 rounded-[var(--radius-box)] border border-error px-4 py-2 text-error">
          {told.map((each) => (
            <li key={each.id}>
              <Link className="font-semibold underline" to={`/t/${table.key}/forms/${each.id}`}>
                {each.title}
              </Link>
              : {each.message}
            </li>
          ))}
        </ul>
      )}
      {count === 0 ? (
        <div className="sheet p-6">
          <p>{pages.data.pages[0]?.rules ? t("tidyReview.empty") : t("tidyReview.noRules")}</p>
          {!pages.data.pages[0]?.rules && (
            <Link to={`/t/${table.key}/rules`} className="btn btn-primary btn-sm mt-3">
              {t("tidyReview.toBoard")}
            </Link>
          )}
        </div>
      ) : (
        <ul className="sheet divide-y divide-base-300/70" aria-label={t("tidyReview.title", { table: table.label })}>
          {all.map((each) => (
            <SuggestionLine
              key={keyOf(each)}
              table={table.key}
              suggestion={each}
              picked={picked.has(keyOf(each))}
              onPick={() => toggle(each)}
              onAccept={() => accept.mutate([each])}
              onIgnore={() => ignore.mutate([each])}
            />
          ))}
        </ul>
      )}
      {pages.hasNextPage && (
        <button type="button" className="btn btn-sm mt-3" onClick={() => pages.fetchNextPage()}>
          {t("tidyReview.more", { n: count - all.length })}
        </button>
      )}
      {asking && (
        <Confirm
          title={t("tidyReview.acceptAll", { count })}
          action={t("tidyReview.acceptAll", { count })}
          onConfirm={() => {
            setAsking(false);
            accept.mutate(null);
          }}
          onClose={() => setAsking(false)}
        >
          <p>{t("tidyReview.acceptText")}</p>
        </Confirm>
      )}
    </div>
  );
}
