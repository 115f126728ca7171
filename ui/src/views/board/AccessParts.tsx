import { group, t, word } from "../../words";

export type Access = { clerk?: "nothing" | "see" | "edit" | "delete"; reader?: "nothing" | "see" };

type Props = {
  of: "table" | "field";
  value: Access;
  onChange: (access: Access) => void;
};

/** What clerks and readers may do with a table or a field; builders may do everything. */
export function AccessParts({ of, value, onChange }: Props) {
  const levels = of === "table" ? group("access.tableLevels") : group("access.fieldLevels");
  const usual = of === "table" ? "delete" : "edit";
  const pick = (role: "clerk" | "reader", level: string, usually: string) => {
    const { [role]: _before, ...rest } = value;
    onChange((level === usually ? rest : { ...rest, [role]: level }) as Access);
  };
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 font-semibold">{t(`access.${of}`)}</legend>
      <RoleLine
        of="clerk"
        levels={levels}
        value={value.clerk ?? usual}
        onPick={(level) => pick("clerk", level, usual)}
      />
      <RoleLine
        of="reader"
        levels={levels.filter(([level]) => level === "nothing" || level === "see")}
        value={value.reader ?? "see"}
        onPick={(level) => pick("reader", level, "see")}
      />
    </fieldset>
  );
}

type LineProps = { of: string; levels: [string, string][]; value: string; onPick: (level: string) => void };

function RoleLine({ of: role, levels, value, onPick }: LineProps) {
  return (
    <label className="flex items-center gap-2">
      <span className="w-16">{word(`people.roles.${role}`)}</span>
      <select className="select select-sm w-56" value={value} onChange={(event) => onPick(event.target.value)}>
        {levels.map(([level, label]) => (
          <option key={level} value={level}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
