import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data, ProblemError } from "../../api/client";
import { foreseeList, useDropList, useKeepList } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { ChoiceRows } from "../../components/ChoiceRows";
import { type Choices, sentChoices, storedChoices } from "../../components/choices";
import { Dialog } from "../../components/Dialog";
import { t } from "../../words";
import { RenamedChoices } from "./RenamedChoices";

type Editing = Choices & { id: string | null; name: string };
const NEW: Editing = { id: null, name: "", ...storedChoices([], []) };

/** The lists of choices that the project keeps for several fields. */
export function Lists({ onClose }: { onClose: () => void }) {
  const lists = useQuery({ queryKey: queryKeys.lists(), queryFn: () => data(api.GET("/api/lists")) }).data ?? [];
  const [editing, setEditing] = useState<Editing | null>(null);
  const keep = useKeepList();
  const drop = useDropList();
  const error = [keep.error, drop.error].find((each) => each instanceof ProblemError);
  const users = lists.find((each) => each.id === editing?.id)?.users ?? [];

  const [asking, setAsking] = useState(false);
  const body = editing && { name: editing.name, ...sentChoices(editing) };

  const write = () => {
    if (!editing || !body) return;
    setAsking(false);
    keep.mutate({ ...body, id: editing.id }, { onSuccess: () => setEditing(null) });
  };
  const save = () => (editing?.id && Object.keys(body?.renamed ?? {}).length > 0 ? setAsking(true) : write());

  return (
    <Dialog title={t("choices.lists")} onClose={onClose}>
      {error && (
        <p role="alert" className="mb-2 text-error">
          {error.message}
        </p>
      )}
      {asking && editing?.id && body && (
        <RenamedChoices
          foresee={() => foreseeList(editing.id ?? "", body)}
          onClose={() => setAsking(false)}
          onSave={write}
        />
      )}
      {editing ? (
        <div className="flex flex-col gap-3">
          <label className="flex flex-col gap-1 font-semibold">
            {t("choices.name")}
            <input
              className="input w-full font-normal"
              value={editing.name}
              onChange={(event) => setEditing({ ...editing, name: event.target.value })}
            />
          </label>
          <ChoiceRows choices={editing} onChange={(choices) => setEditing({ ...editing, ...choices })} />
          {users.length > 0 && (
            <p className="quiet text-xs">
              {t("choices.usedBy", { fields: users.map((each) => each.label).join(", ") })}
            </p>
          )}
          <div className="flex justify-end gap-2">
            {editing.id && (
              <button
                type="button"
                className="btn btn-ghost btn-sm mr-auto text-error"
                onClick={() => editing.id && drop.mutate(editing.id, { onSuccess: () => setEditing(null) })}
              >
                {t("choices.drop")}
              </button>
            )}
            <button type="button" className="btn btn-sm" onClick={() => setEditing(null)}>
              {t("common.cancel")}
            </button>
            <button type="button" className="btn btn-primary btn-sm" onClick={save}>
              {t("common.save")}
            </button>
          </div>
        </div>
      ) : (
        <>
          {lists.length === 0 && <p>{t("choices.noLists")}</p>}
          <ul className="divide-y divide-base-300/70">
            {lists.map((each) => (
              <li key={each.id} className="flex items-baseline gap-3 py-1.5">
                <button
                  type="button"
                  className="link font-semibold"
                  onClick={() =>
                    setEditing({ id: each.id, name: each.name, ...storedChoices(each.values, each.retired) })
                  }
                >
                  {each.name}
                </button>
                <span className="quiet min-w-0 flex-1 truncate">{each.values.join(", ")}</span>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex justify-between">
            <button type="button" className="btn btn-sm" onClick={() => setEditing(NEW)}>
              {t("choices.newList")}
            </button>
            <button type="button" className="btn btn-primary btn-sm" onClick={onClose}>
              {t("common.close")}
            </button>
          </div>
        </>
      )}
    </Dialog>
  );
}
