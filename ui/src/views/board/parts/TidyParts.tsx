import { useQuery } from "@tanstack/react-query";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { useState } from "react";
import { api, data, type RuleParts } from "../../../api/client";
import { queryKeys } from "../../../api/queryKeys";
import { Difference } from "../../../components/Difference";
import { IconButton } from "../../../components/IconButton";
import { t } from "../../../words";
import type { PartsProps } from "./shared";
import { TidySettings } from "./TidySettings";

type Step = NonNullable<RuleParts["steps"]>[number];

/** The steps of a clean-up in their order, an example before and after, and when it happens. */
export function TidyParts({ parts, change, mistakes }: PartsProps) {
  const steps: Step[] = parts.steps ?? [];
  const known = useQuery({
    queryKey: queryKeys.tidying(),
    queryFn: () => data(api.GET("/api/tidying")),
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
  const put = (next: Step[]) => change({ steps: next });
  const move = (index: number, by: number) => {
    const next = [...steps];
    const [taken] = next.splice(index, 1);
    if (taken) next.splice(index + by, 0, taken);
    put(next);
  };
  return (
    <>
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{t("tidy.steps")}</legend>
        {steps.map((step, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a step may stand in the list more than once
          <div key={index} className="rounded border border-base-300 px-2.5 py-1.5">
            <div className="flex items-center gap-1">
              <span className="quiet w-5 text-xs tabular-nums">{index + 1}</span>
              <span className="flex-1">{known?.find((each) => each.key === step.do)?.label ?? step.do}</span>
              <IconButton name={t("tidy.earlier")} disabled={index === 0} onClick={() => move(index, -1)}>
                <ArrowUp size={13} aria-hidden />
              </IconButton>
              <IconButton name={t("tidy.later")} disabled={index === steps.length - 1} onClick={() => move(index, 1)}>
                <ArrowDown size={13} aria-hidden />
              </IconButton>
              <IconButton name={t("tidy.remove")} onClick={() => put(steps.filter((_, at) => at !== index))}>
                <X size={13} aria-hidden />
              </IconButton>
            </div>
            <TidySettings
              step={step}
              settings={known?.find((each) => each.key === step.do)?.settings ?? []}
              onChange={(next) => put(steps.map((each, at) => (at === index ? next : each)))}
            />
          </div>
        ))}
        <select
          aria-label={t("tidy.add")}
          data-first
          className="select select-sm w-64"
          value=""
          onChange={(event) => event.target.value && put([...steps, { do: event.target.value }])}
        >
          <option value="">{t("tidy.add")}</option>
          {known?.map((each) => (
            <option key={each.key} value={each.key}>
              {each.label}
            </option>
          ))}
        </select>
      </fieldset>
      {mistakes.length === 0 && <Example steps={steps} />}
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">{t("tidy.when")}</legend>
        {(["save", "suggest"] as const).map((each) => (
          <label key={each} className="flex items-start gap-2">
            <input
              type="radio"
              name="mode"
              className="radio radio-sm mt-0.5"
              checked={(parts.mode ?? "save") === each}
              onChange={() => change({ mode: each })}
            />
            <span>{t(`tidy.modes.${each}`)}</span>
          </label>
        ))}
      </fieldset>
    </>
  );
}

/** A text of one's own, or the first step's example, before and after. */
function Example({ steps }: { steps: Step[] }) {
  const [text, setText] = useState("");
  const tried = useQuery({
    queryKey: queryKeys.tidyTry(steps, text),
    queryFn: () => data(api.POST("/api/tidying", { body: { steps, text } })),
    enabled: steps.length > 0,
    placeholderData: (before) => before,
  }).data;
  if (!tried || tried.problem || tried.before === null) return null;
  return (
    <div className="rounded border border-base-300 px-2.5 py-2">
      <label className="flex flex-col gap-1 text-xs">
        {t("tidy.example")}
        <input
          className="input input-sm w-full"
          value={text}
          placeholder={tried.before}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <p className="mt-1.5" aria-live="polite">
        <Difference before={tried.before} after={tried.after ?? ""} />
      </p>
    </div>
  );
}
