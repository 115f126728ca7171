import { useQuery } from "@tanstack/react-query";
import { api, data, type Field } from "../../api/client";
import { queryKeys } from "../../api/queryKeys";
import { MessageText } from "../../components/MessageText";
import { words } from "../../words";

export type FormatSettings = Field["format"];
type Props = {
  type: string;
  decimals: number | null;
  value: FormatSettings;
  onChange: (value: FormatSettings) => void;
};

/** How values of the field are shown, whatever way they were typed, with an example at once. */
export function FormatParts({ type, decimals, value, onChange }: Props) {
  const tried = useQuery({
    queryKey: queryKeys.format(type, decimals, value),
    queryFn: () => data(api.POST("/api/formats", { body: { type, decimals, format: value } })),
    placeholderData: (before, query) => (query?.queryKey[1] === type ? before : undefined),
  }).data;
  const put = (part: keyof FormatSettings, text: string) => {
    const { [part]: _gone, ...rest } = value;
    onChange(text === "" ? rest : { ...rest, [part]: text });
  };
  const text = (part: "before" | "after" | "yes" | "no" | "blank", label: string, hint?: string) => (
    <label key={part} className="flex min-w-0 flex-col gap-0.5 text-xs">
      {label}
      <input
        className="input input-sm w-full"
        value={value[part] ?? ""}
        placeholder={hint}
        onChange={(event) => put(part, event.target.value)}
      />
    </label>
  );
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 font-semibold">{words.format.title}</legend>
      {tried && tried.ready_made.length > 0 && (
        <div className="flex items-end gap-2">
          <label className="flex flex-1 flex-col gap-0.5 text-xs">
            {words.format.ready}
            <select
              className="select select-sm w-full"
              value={tried.ready_made.some((each) => each.pattern === value.pattern) ? value.pattern : ""}
              onChange={(event) => put("pattern", event.target.value)}
            >
              <option value="">{value.pattern ? words.format.ownPattern : words.format.usual}</option>
              {tried.ready_made.map((each) => (
                <option key={each.pattern} value={each.pattern}>
                  {each.text}
                </option>
              ))}
            </select>
          </label>
          <label className="flex flex-1 flex-col gap-0.5 text-xs">
            {words.format.pattern}
            <input
              className="input input-sm w-full font-mono"
              value={value.pattern ?? ""}
              placeholder={tried.ready_made[0]?.pattern}
              onChange={(event) => put("pattern", event.target.value)}
            />
          </label>
        </div>
      )}
      {type === "number" && (
        <>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={value.group === true}
              onChange={() => {
                const { group, ...rest } = value;
                onChange(group ? rest : { ...rest, group: true });
              }}
            />
            {words.format.group}
          </label>
          <div className="grid grid-cols-2 gap-2">
            {text("before", words.format.before, "€ ")}
            {text("after", words.format.after, " kg")}
          </div>
        </>
      )}
      {type === "long_text" && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={value.turned === true}
            onChange={() => {
              const { turned, ...rest } = value;
              onChange(turned ? rest : { ...rest, turned: true });
            }}
          />
          {words.logging.turned}
        </label>
      )}
      {type === "yes_no" && (
        <div className="grid grid-cols-2 gap-2">
          {text("yes", words.format.yes, words.records.yes)}
          {text("no", words.format.no, words.records.no)}
        </div>
      )}
      {text("blank", words.format.blank)}
      {tried?.problem ? (
        <p className="text-error" role="alert">
          <MessageText text={tried.problem} />
        </p>
      ) : (
        tried &&
        tried.examples.length > 0 && (
          <p className="quiet" aria-live="polite">
            {words.format.shown} <span className="text-base-content">{tried.examples.join("  ·  ")}</span>
          </p>
        )
      )}
    </fieldset>
  );
}
