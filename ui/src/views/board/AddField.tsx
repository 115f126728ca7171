import { Plus } from "lucide-react";
import { useRef } from "react";
import type { Table } from "../../api/client";
import { useAddField, useTables } from "../../api/queries";
import { editPlace, useEdit } from "../../components/edits";
import { useFieldTypes } from "../../components/fieldTypes";
import { t } from "../../words";

/** The last row of the board: a name and a type make a field, and the next can be typed at once. */
export function AddField({ table }: { table: Table }) {
  const add = useAddField(table.key);
  const types = useFieldTypes();
  const edit = useEdit(editPlace.newField(table.id), { label: "", type: "text", target: "" });
  const { label, type, target } = edit.value;
  const set = (some: Partial<typeof edit.value>) => edit.change((now) => ({ ...now, ...some }));
  const settings = types.of(type).settings;
  const links = settings.includes("link");
  const tables = useTables().data ?? [];
  const input = useRef<HTMLInputElement>(null);

  const submit = () => {
    const sent = edit.latest().label;
    if (sent.trim() === "") return;
    const choices = settings.includes("choices") ? [t("board.types.choicesNew")] : undefined;
    // The next one can be typed at once; what is refused stands there again unless something else does by then.
    edit.change((now) => ({ ...now, label: "" }));
    edit.done();
    input.current?.focus();
    add
      .mutateAsync({
        label: sent,
        type,
        choices,
        target: links ? target || tables.find((each) => each.key !== table.key)?.key : undefined,
      })
      .catch(() => edit.change((now) => (now.label === "" ? { ...now, label: sent } : now)));
  };

  return (
    <form
      className="sheet flex flex-wrap items-center gap-2 rounded-t-none border-t-0 px-2 py-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Plus size={15} className="quiet" aria-hidden />
      <input
        ref={input}
        id="add-field"
        aria-label={t("board.addField")}
        placeholder={t("board.addPlaceholder")}
        value={label}
        onChange={(event) => {
          set({ label: event.target.value });
          if (add.isError) add.reset();
        }}
        className="input input-sm input-ghost w-72"
      />
      <select
        aria-label={t("board.typeOfNew")}
        value={type}
        onChange={(event) => set({ type: event.target.value })}
        className="select select-sm w-36"
      >
        {types.all.map((each) => (
          <option key={each.key} value={each.key}>
            {each.label}
          </option>
        ))}
      </select>
      {links && (
        <select
          aria-label={t("link.target")}
          value={target || tables.find((each) => each.key !== table.key)?.key}
          onChange={(event) => set({ target: event.target.value })}
          className="select select-sm w-36"
        >
          {tables.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      )}
      <button type="submit" className="btn btn-sm" disabled={label.trim() === ""}>
        {t("board.addField")}
      </button>
      {add.error && (
        <p className="text-error" role="alert">
          {add.error.message}
        </p>
      )}
    </form>
  );
}
