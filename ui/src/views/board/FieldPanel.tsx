import { Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { type Field, ProblemError, type Table } from "../../api/client";
import { foreseeChoices, losses, useChangeField, useRenameTable } from "../../api/queries";
import { sentChoices, storedChoices } from "../../components/choices";
import { editPlace, useEdit } from "../../components/edits";
import { useFieldTypes } from "../../components/fieldTypes";
import { t } from "../../words";
import { AccessParts } from "./AccessParts";
import { DraftBar } from "./DraftBar";
import { FieldSettings, type OwnSettings } from "./FieldSettings";
import { FormatParts, type FormatSettings } from "./FormatParts";
import { FormerKeys } from "./FormerKeys";
import { beginLink } from "./LinkParts";
import { Panel } from "./Panel";
import { RenamedChoices } from "./RenamedChoices";

type Props = {
  table: Table;
  field: Field;
  onClose: () => void;
  onRemove: () => void;
  onRenamed: (key: string) => void;
};

type Settings = OwnSettings & {
  label: string;
  type: string;
  format: FormatSettings;
  known: boolean;
  note: string;
  access: Field["access"];
  aliases: string[];
};

/** A field's name, type and what belongs to the type. Says what a new type would lose before it is saved. */
export function FieldPanel({ table, field, onClose, onRemove, onRenamed }: Props) {
  const change = useChangeField(table.key);
  const types = useFieldTypes();
  const edit = useEdit<Settings>(editPlace.field(table.id, field.id), {
    label: field.label,
    type: field.type,
    decimals: field.decimals?.toString() ?? "",
    choices: { ...storedChoices(field.list ? [] : field.choices, field.list ? [] : field.retired), list: field.list },
    format: field.format,
    link: beginLink(field),
    known: table.title_field === field.key,
    note: field.note ?? "",
    access: field.access,
    aliases: field.aliases,
  });
  const { label, type, decimals, choices, format, link, known, note, access, aliases } = edit.value;
  const set = (some: Partial<Settings>) => edit.change((now) => ({ ...now, ...some }));
  const rename = useRenameTable();
  const { values: listed, retired, renamed } = sentChoices(choices);
  const chosen = types.of(type);
  const [lists, links] = [chosen.settings.includes("choices"), chosen.settings.includes("link")];
  const own = lists && field.editor === "choice" && !choices.list && !field.list;
  const asks = own && Object.keys(renamed).length > 0;
  const [asking, setAsking] = useState(false);
  const loss = useLoss(
    table.key,
    field,
    type,
    lists && !choices.list ? listed.join("\n") : undefined,
    lists ? (choices.list ?? undefined) : undefined,
    links ? link.target : undefined,
  );

  const save = () => (asks ? setAsking(true) : write());
  const write = () =>
    change.mutate(
      {
        field: field.key,
        label,
        type,
        note,
        decimals: decimals === "" ? null : Number(decimals),
        format,
        access,
        aliases,
        ...(lists ? { list: choices.list, choices: listed, retired, ...(asks ? { renamed } : {}) } : {}),
        ...(links ? link : {}),
      },
      {
        onSuccess: (changed) => {
          const now = changed?.fields.find((each) => each.id === field.id);
          if (known !== (table.title_field === field.key))
            rename.mutate({ table: table.key, title: known ? (now?.key ?? field.key) : null });
          edit.done();
          if (now && now.key !== field.key) {
            toast(t("fieldPanel.rekeyed", { key: now.key, former: field.key }));
            onRenamed(now.key);
          }
          onClose();
        },
      },
    );
  const mistakes =
    change.error instanceof ProblemError ? (change.error.problem.mistakes ?? [{ message: change.error.message }]) : [];

  return (
    <Panel
      name={t("board.openField", { label: field.label })}
      above={t("fieldPanel.title")}
      guide="fields"
      title={field.label}
      onClose={onClose}
      onSave={save}
      refused={mistakes}
      note={
        edit.dirty && (
          <DraftBar
            overtaken={edit.overtaken}
            onDrop={() => {
              edit.done();
              onClose();
            }}
          />
        )
      }
      footer={
        <>
          <button type="button" className="btn btn-primary btn-sm" onClick={save} disabled={change.isPending}>
            {t("fieldPanel.save")}
            <kbd className="text-[0.6875rem] opacity-75">Ctrl Enter</kbd>
          </button>
          <span className="flex-1" />
          <button type="button" className="btn btn-ghost btn-sm text-error" onClick={onRemove}>
            <Trash2 size={14} aria-hidden />
            {t("fieldPanel.remove")}
          </button>
        </>
      }
    >
      <label data-part="label" className="flex flex-col gap-1 font-semibold">
        {t("fieldPanel.label")}
        <input
          data-first
          className="input w-full font-normal"
          value={label}
          onChange={(event) => set({ label: event.target.value })}
          onKeyDown={(event) => event.key === "Enter" && !event.ctrlKey && save()}
        />
        <span className="quiet font-normal text-xs">
          {t("fieldPanel.keyIs")} <code className="font-mono">{field.key}</code>
        </span>
      </label>
      <FormerKeys keys={aliases} onChange={(kept) => set({ aliases: kept })} />
      <label className="flex flex-col gap-1 font-semibold">
        {t("fieldPanel.type")}
        <select
          className="select w-full font-normal"
          value={type}
          onChange={(event) => set({ type: event.target.value })}
        >
          {types.all.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      </label>
      {loss && <p className={loss.lost ? "text-error" : "text-success"}>{loss.text}</p>}
      {loss && loss.choices.length > 0 && !choices.list && (
        <button
          type="button"
          className="btn btn-sm -mt-1 w-fit"
          onClick={(event) => {
            // The button goes; the keys stay in the panel.
            event.currentTarget.closest("aside")?.querySelector<HTMLElement>("[data-part=choices] select")?.focus();
            const values = [...listed, ...loss.choices];
            set({ choices: { ...choices, values, retired, was: values.map(() => null) } });
          }}
        >
          {t("choices.addLost", { count: loss.choices.length })}
        </button>
      )}
      <FieldSettings table={table} field={field} type={chosen} value={edit.value} onChange={set} />
      <div data-part="format">
        <FormatParts
          type={chosen}
          decimals={decimals === "" ? null : Number(decimals)}
          value={format}
          onChange={(next) => set({ format: next })}
        />
      </div>
      {chosen.titles && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={known}
            onChange={() => set({ known: !known })}
          />
          {t("fieldPanel.known", { one: table.one.toLowerCase() })}
        </label>
      )}
      <label className="flex flex-col gap-1 font-semibold">
        {t("fieldPanel.note")}
        <textarea
          className="textarea w-full font-normal"
          rows={2}
          value={note}
          placeholder={t("fieldPanel.notePlaceholder")}
          onChange={(event) => set({ note: event.target.value })}
        />
      </label>
      <p className="quiet text-xs">{field.sentence}</p>
      {asking && (
        <RenamedChoices
          foresee={() => foreseeChoices(table.key, field.key, { choices: listed, retired, renamed })}
          onClose={() => setAsking(false)}
          onSave={() => {
            setAsking(false);
            write();
          }}
        />
      )}
      {table.title_field !== field.key && (
        <AccessParts of="field" value={access} onChange={(next) => set({ access: next })} />
      )}
    </Panel>
  );
}

/** What the records would lose by another type, asked as soon as one is picked. */
function useLoss(
  table: string,
  field: Field,
  type: string,
  choices: string | undefined,
  list: string | undefined,
  target: string | undefined,
) {
  const [loss, setLoss] = useState<{ lost: boolean; text: string; choices: string[] } | null>(null);
  useEffect(() => {
    setLoss(null);
    if (type === field.type && (target === undefined || target === field.target)) return;
    if (target === "") return;
    let current = true;
    losses(table, field.key, { type, choices, list, target }).then(
      (found) => {
        if (!current || found.values + found.kept === 0) return;
        const lost = found.values > 0;
        const text = lost
          ? t("fieldPanel.retypeLoses", {
              count: found.values,
              examples: found.examples.map((each) => `“${each}”`).join(", "),
            })
          : t("fieldPanel.retypeKeeps", { n: found.kept });
        setLoss({ lost, text, choices: found.choices });
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [table, field, type, choices, list, target]);
  return loss;
}
