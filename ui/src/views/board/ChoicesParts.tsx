import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data } from "../../api/client";
import { queryKeys } from "../../api/queryKeys";
import { ChoiceRows } from "../../components/ChoiceRows";
import type { Choices } from "../../components/choices";
import { t } from "../../words";
import { Lists } from "./Lists";

export type ChoiceSettings = Choices & { list: string | null };

type Props = { value: ChoiceSettings; onChange: (value: ChoiceSettings) => void };

/** The choices of a field: a list of its own, or one that the project keeps for several fields. */
export function ChoicesParts({ value, onChange }: Props) {
  const [editing, setEditing] = useState(false);
  const lists = useQuery({ queryKey: queryKeys.lists(), queryFn: () => data(api.GET("/api/lists")) }).data ?? [];
  const shared = lists.find((each) => each.id === value.list);
  return (
    <div className="flex flex-col gap-2">
      <label className="flex items-center gap-2 font-semibold">
        <span className="flex-1">{t("choices.title")}</span>
        <select
          aria-label={t("choices.source")}
          className="select select-sm w-52 font-normal"
          value={value.list ?? ""}
          onChange={(event) => onChange({ ...value, list: event.target.value || null })}
        >
          <option value="">{t("choices.own")}</option>
          {lists.map((each) => (
            <option key={each.id} value={each.id}>
              {t("choices.shared", { name: each.name })}
            </option>
          ))}
        </select>
      </label>
      {shared ? (
        <p className="quiet">
          {shared.values.filter((each) => !shared.retired.includes(each)).join(", ")}
          {shared.retired.length > 0 && ` · ${t("choices.retiredOnes", { names: shared.retired.join(", ") })}`}
        </p>
      ) : (
        <ChoiceRows choices={value} onChange={(choices) => onChange({ ...value, ...choices })} />
      )}
      <button type="button" className="link w-fit text-xs" onClick={() => setEditing(true)}>
        {t("choices.editLists")}
      </button>
      {editing && <Lists onClose={() => setEditing(false)} />}
    </div>
  );
}
