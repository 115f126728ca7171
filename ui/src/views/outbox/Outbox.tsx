import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { api, data } from "../../api/client";
import { queryKeys } from "../../api/queryKeys";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { t } from "../../words";

/** Notices to people. They stay inside the application; nothing leaves the firm. */
export default function Outbox() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const notices = useQuery({ queryKey: queryKeys.outbox(), queryFn: () => data(api.GET("/api/outbox")) });
  const refresh = () => client.invalidateQueries({ queryKey: queryKeys.outbox() });
  const read = useMutation({
    mutationFn: (id: number) => data(api.PUT("/api/outbox/{id}/read", { params: { path: { id } } })),
    onSuccess: refresh,
  });
  const check = useMutation({
    mutationFn: () => data(api.POST("/api/outbox/check")),
    onSuccess: ({ sent }) => {
      refresh();
      toast(t("outbox.checked", { count: sent }));
    },
  });
  if (!notices.data) return notices.error ? <Failure error={notices.error} retry={notices.refetch} /> : <Loading />;
  return (
    <div className="mx-auto max-w-3xl px-5 pt-5 pb-10">
      <div className="mb-4 flex items-end gap-4">
        <div className="min-w-0 flex-1">
          <h1 className="text-2xl">{t("outbox.title")}</h1>
          <p className="quiet">{t("outbox.aim")}</p>
        </div>
        <button type="button" className="btn btn-sm" onClick={() => check.mutate()}>
          {t("outbox.check")}
        </button>
      </div>
      {notices.data.length === 0 && <p className="sheet p-6">{t("outbox.empty")}</p>}
      {notices.data.length > 0 && (
        <ul className="sheet divide-y divide-base-300/70">
          {notices.data.map((notice) => (
            <li key={notice.id} className="flex items-start gap-3 px-4 py-3">
              <span
                className={`mt-1.5 size-2 shrink-0 rounded-full
                  ${notice.read ? "border border-base-300" : "bg-secondary"}`}
                aria-hidden
              />
              <div className="min-w-0 flex-1">
                <p className={notice.read ? "" : "font-semibold"}>{notice.subject}</p>
                <p>{notice.body}</p>
                <p className="quiet mt-0.5 text-xs">
                  {t("outbox.to", { name: notice.to })} · {notice.day_text}, {notice.at_text}
                </p>
              </div>
              <button
                type="button"
                className="btn btn-sm"
                onClick={() => {
                  read.mutate(notice.id);
                  navigate(notice.path);
                }}
              >
                {t("outbox.open")}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
