import type { RuleParts } from "../../../api/client";
import { word } from "../../../words";

type Step = NonNullable<RuleParts["steps"]>[number];
type Props = { step: Step; settings: { name: string; shape: string }[]; onChange: (step: Step) => void };

const KINDS = ["letters", "digits", "spaces", "punctuation", "symbols"];

/** What can be set of one clean-up step. */
export function TidySettings({ step, settings, onChange }: Props) {
  if (settings.length === 0) return null;
  return (
    <div className="mt-1.5 flex flex-col gap-1.5 pl-6 text-[0.8125rem]">
      {settings.map(({ name, shape }) => {
        const label = word(`tidy.settings.${name}`) ?? name;
        if (shape === "kinds") {
          const kinds = step.kinds ?? [];
          return (
            <div key={name} className="flex flex-wrap gap-x-3 gap-y-1">
              {KINDS.map((kind) => (
                <label key={kind} className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={kinds.includes(kind)}
                    onChange={() =>
                      onChange({
                        ...step,
                        kinds: kinds.includes(kind) ? kinds.filter((each) => each !== kind) : [...kinds, kind],
                      })
                    }
                  />
                  {word(`tidy.kinds.${kind}`)}
                </label>
              ))}
            </div>
          );
        }
        const value = step[name as keyof Step];
        const text = Array.isArray(value) ? value.join(", ") : (value ?? "");
        return (
          <div key={name} className="flex items-center gap-2">
            <span className="w-36 shrink-0" aria-hidden>
              {label}
            </span>
            <TextSetting
              label={label}
              text={text}
              onText={(next) =>
                onChange({
                  ...step,
                  [name]:
                    shape === "texts"
                      ? next
                          .split(",")
                          .map((each) => each.trim())
                          .filter(Boolean)
                      : next,
                })
              }
              list={shape === "texts"}
            />
          </div>
        );
      })}
    </div>
  );
}

type TextProps = { label: string; text: string; list: boolean; onText: (text: string) => void };

/** A list is taken over when the field is left, so that a comma can be typed. */
function TextSetting({ label, text, list, onText }: TextProps) {
  return list ? (
    <input
      aria-label={label}
      className="input input-xs flex-1"
      defaultValue={text}
      onBlur={(event) => event.target.value !== text && onText(event.target.value)}
    />
  ) : (
    <input
      aria-label={label}
      className="input input-xs flex-1"
      value={text}
      onChange={(event) => onText(event.target.value)}
    />
  );
}
