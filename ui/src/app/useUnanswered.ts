import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useLocation, useNavigate } from "react-router";
import { toast } from "sonner";
import { ProblemError } from "../api/client";
import { refresh } from "../api/queryKeys";
import { untilAnswered } from "../api/sending";
import { draftsHere, keepDraft, keptDraft } from "../components/record/draftStorage";
import { sendRecord } from "../components/record/sendRecord";
import { t } from "../words";

const pathOf = (table: string, id: string) => `/t/${table}/forms${id === "new" ? "" : `/${id}`}`;

/**
 * Whoever saves and goes elsewhere at once means that it is saved: on the first page of a visit what was on its way is
 * sent again under its name, so that it is done once. Its own form does that itself.
 */
export function useUnanswered() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current) return;
    looked.current = true;
    const again = async (table: string, id: string) => {
      const number = id === "new" ? null : Number(id);
      const kept = pathname === pathOf(table, id) ? null : keptDraft(table, number);
      const sent = kept?.sent;
      if (!kept || !sent) return;
      // What has been typed in the form since is not this write's.
      const settle = (rest: Parameters<typeof keepDraft>[2]) =>
        keptDraft(table, number)?.sent?.key === sent.key && keepDraft(table, number, rest);
      try {
        const saved = await untilAnswered(
          () => sendRecord(table, number, sent),
          () => undefined,
        );
        settle({ typed: {}, version: null });
        toast.success(t("form.saved", { title: saved.title }));
        refresh(client, "records", "history", "tables");
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        if (error.problem.status === 401) return;
        const { sent: _sent, ...rest } = kept;
        settle(rest);
        const refused = error.problem.status === 422;
        toast.error(refused ? t("form.refusedBefore") : t("form.notSavedBefore", { why: error.problem.title }), {
          duration: Number.POSITIVE_INFINITY,
          action: { label: t("form.openDraft"), onClick: () => navigate(pathOf(table, id)) },
        });
      }
    };
    for (const { table, id } of draftsHere()) again(table, id);
  });
}
