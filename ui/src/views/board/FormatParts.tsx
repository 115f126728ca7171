import { useQuery } from "@tanstack/react-query";
import { api, data, type Field, type FieldType } from "../../api/client";
import { queryKeys } from "../../api/queryKeys";
import { MessageText } from "../../components/MessageText";
import { t } from "../../words";

export type FormatSettings = Field["format"];
type Props = {
  type: FieldType;
  decimals: number | null;
  value: FormatSettings;
  onChange: (value: FormatSettings) => void;
};

type Part = FieldType["format"][number]["name"];
type Flag = Extract<Part, "group" | "turned">;
type Text = Exclude<Part, Flag>;
const HINTS: Partial<Record<Text | "blank", string>> = {
  before: "€ ",
  after: " kg",
  yes: t("records.yes"),
  no: t("records.no"),
};

/** How values of the field are shown, whatever way they were typed, with an example at once. */
export function FormatParts({ type, decimals, value, onChange }: Props) {
  const tried = useQuery({
    queryKey: queryKeys.format(type.key, decimals, value),
    queryFn: () => data(api.POST("/api/formats", { body: { type: type.key, decimals, format: value } })),
    placeholderData: (before, query) => (query?.queryKey[1] === type.key ? before : undefined),
  }).data;
  const put = (part: keyof FormatSettings, text: string) => {
    const { [part]: _gone, ...rest } = value;
    onChange(text === "" ? rest : { ...rest, [part]: text });
  };
  const text = (part: Text | "blank") => (
    <label key={part} className="flex min-w-0 flex-col gap-0.5 text-xs">
      {t(`format.${part}`)}
      <input
        className="input input-sm w-full"
        value={value[part] ?? ""}
        placeholder={HINTS[part]}
        onChange={(event) => put(part, event.target.value)}
      />
    </label>
  );
  const flag = (part: Flag) => (
    <label key={part} className="flex items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={value[part] === true}
        onChange={() => {
          const { [part]: on, ...rest } = value;
          onChange(on ? rest : { ...rest, [part]: true });
        }}
      />
      {t(`format.${part}`)}
    </label>
  );
  const texts = type.format.filter((each) => each.kind === "text");
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 font-semibold">{t("format.title")}</legend>
      {tried && tried.ready_made.length > 0 && (
        <div className="flex items-end gap-2">
          <label className="flex flex-1 flex-col gap-0.5 text-xs">
            {t("format.ready")}
            <select
              className="select select-sm w-full"
              value={tried.ready_made.some((each) => each.pattern === value.pattern) ? value.pattern : ""}
              onChange={(event) => put("pattern", event.target.value)}
            >
              <option value="">{value.pattern ? t("format.ownPattern") : t("format.usual")}</option>
              {tried.ready_made.map((each) => (
                <option key={each.pattern} value={each.pattern}>
                  {each.text}
                </option>
              ))}
            </select>
          </label>
          <label className="flex flex-1 flex-col gap-0.5 text-xs">
            {t("format.pattern")}
            <input
              className="input input-sm w-full font-mono"
              translate="no"
              value={value.pattern ?? ""}
              placeholder={tried.ready_made[0]?.pattern}
              onChange={(event) => put("pattern", event.target.value)}
            />
          </label>
        </div>
      )}
      {type.format.filter((each) => each.kind === "flag").map((each) => flag(each.name as Flag))}
      {texts.length > 0 && <div className="grid grid-cols-2 gap-2">{texts.map((each) => text(each.name as Text))}</div>}
      {text("blank")}
      {tried?.problem ? (
        <p className="text-error" role="alert">
          <MessageText text={tried.problem} />
        </p>
      ) : (
        tried &&
        tried.examples.length > 0 && (
          <p className="quiet" aria-live="polite">
            {t("format.shown")} <span className="text-base-content">{tried.examples.join("  ·  ")}</span>
          </p>
        )
      )}
    </fieldset>
  );
}
