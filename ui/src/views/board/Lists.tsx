import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data, ProblemError } from "../../api/client";
import { useDropList, useKeepList } from "../../api/queries";
import { ChoiceRows } from "../../components/ChoiceRows";
import { Dialog } from "../../components/Dialog";
import { words } from "../../words";

type Editing = { id: string | null; name: string; values: string[]; retired: string[] };
const NEW: Editing = { id: null, name: "", values: [], retired: [] };

/** The lists of choices that the project keeps for several fields. */
export function Lists({ onClose }: { onClose: () => void }) {
  const lists = useQuery({ queryKey: ["lists"], queryFn: () => data(api.GET("/api/lists")) }).data ?? [];
  const [editing, setEditing] = useState<Editing | null>(null);
  const keep = useKeepList();
  const drop = useDropList();
  const error = [keep.error, drop.error].find((each) => each instanceof ProblemError);
  const users = lists.find((each) => each.id === editing?.id)?.users ?? [];

  const save = () => {
    if (!editing) return;
    const clean = (all: string[]) => all.map((each) => each.trim()).filter(Boolean);
    keep.mutate(
      { ...editing, values: clean(editing.values), retired: clean(editing.retired) },
      { onSuccess: () => setEditing(null) },
    );
  };

  return (
    <Dialog title={words.choices.lists} onClose={onClose}>
      {error && (
        <p role="alert" className="mb-2 text-error">
          {error.message}
        </p>
      )}
      {editing ? (
        <div className="flex flex-col gap-3">
          <label className="flex flex-col gap-1 font-semibold">
            {words.choices.name}
            <input
              className="input w-full font-normal"
              value={editing.name}
              onChange={(event) => setEditing({ ...editing, name: event.target.value })}
            />
          </label>
          <ChoiceRows
            values={editing.values}
            retired={editing.retired}
            onChange={(values, retired) => setEditing({ ...editing, values, retired })}
          />
          {users.length > 0 && (
            <p className="quiet text-xs">{words.choices.usedBy(users.map((each) => each.label).join(", "))}</p>
          )}
          <div className="flex justify-end gap-2">
            {editing.id && (
              <button
                type="button"
                className="btn btn-ghost btn-sm mr-auto text-error"
                onClick={() => editing.id && drop.mutate(editing.id, { onSuccess: () => setEditing(null) })}
              >
                {words.choices.drop}
              </button>
            )}
            <button type="button" className="btn btn-sm" onClick={() => setEditing(null)}>
              {words.common.cancel}
            </button>
            <button type="button" className="btn btn-primary btn-sm" onClick={save}>
              {words.common.save}
            </button>
          </div>
        </div>
      ) : (
        <>
          {lists.length === 0 && <p>{words.choices.noLists}</p>}
          <ul className="divide-y divide-base-300/70">
            {lists.map((each) => (
              <li key={each.id} className="flex items-baseline gap-3 py-1.5">
                <button type="button" className="link font-semibold" onClick={() => setEditing({ ...each })}>
                  {each.name}
                </button>
                <span className="quiet min-w-0 flex-1 truncate">{each.values.join(", ")}</span>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex justify-between">
            <button type="button" className="btn btn-sm" onClick={() => setEditing(NEW)}>
              {words.choices.newList}
            </button>
            <button type="button" className="btn btn-primary btn-sm" onClick={onClose}>
              {words.common.close}
            </button>
          </div>
        </>
      )}
    </Dialog>
  );
}
