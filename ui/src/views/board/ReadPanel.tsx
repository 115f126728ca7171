import type { Field, Rule, Table } from "../../api/client";
import { RuleSentence } from "../../components/RuleSentence";
import { t } from "../../words";
import { Panel } from "./Panel";

type Props = { table: Table; rule?: Rule; field?: Field; onClose: () => void };

/** What a rule or a field is, for whoever may look but not change it. */
export function ReadPanel({ table, rule, field, onClose }: Props) {
  const own = field ? table.rules.filter((each) => each.fields.includes(field.key)) : [];
  const note = rule?.note ?? field?.note;
  return (
    <Panel
      name={rule?.sentence ?? field?.label ?? ""}
      above={table.stages.find((stage) => stage.key === rule?.stage)?.label ?? t("fieldPanel.title")}
      title={rule ? rule.tack : (field?.label ?? "")}
      onClose={onClose}
      onSave={onClose}
      guide="board"
      footer={<span className="quiet text-xs">{t("access.readOnlyBoard")}</span>}
    >
      {rule && <RuleSentence rule={rule} />}
      {field && <p className="quiet">{field.type_label}</p>}
      {note && <p className="whitespace-pre-wrap border-base-300 border-l-2 pl-3">{note}</p>}
      {own.length > 0 && (
        <ul className="flex flex-col gap-2">
          {own.map((each) => (
            <li key={each.id}>
              <RuleSentence rule={each} />
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
