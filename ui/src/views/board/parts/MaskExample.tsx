import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data } from "../../../api/client";
import { queryKeys } from "../../../api/queryKeys";
import { useDebounced } from "../../../components/useDebounced";
import { t } from "../../../words";

type Props = { ready: boolean; value: string; onChange: (mask: string) => void };

/** Masks to choose from: readings of one text that is written as it should be, or ready-made ones. */
export function MaskExample({ ready, value, onChange }: Props) {
  const [example, setExample] = useState("");
  const debounced = useDebounced(example, 150);
  const readings = useQuery({
    queryKey: queryKeys.maskReadings(debounced),
    queryFn: async () => (await data(api.POST("/api/masks", { body: { example: debounced } }))).readings,
    enabled: !ready && debounced.trim() !== "",
    placeholderData: (before) => before,
  }).data;
  const made = useQuery({
    queryKey: queryKeys.masks(),
    queryFn: () => data(api.GET("/api/masks/ready-made")),
    enabled: ready,
    staleTime: Number.POSITIVE_INFINITY,
  }).data;
  const offered = ready ? made : example.trim() === "" ? [] : readings;
  return (
    <div className="flex flex-col gap-2">
      {!ready && (
        <label className="flex flex-col gap-1">
          {t("mask.typeExample")}
          <input
            data-first
            className="input w-full font-mono"
            value={example}
            placeholder="KD-017"
            spellCheck={false}
            onChange={(event) => setExample(event.target.value)}
          />
        </label>
      )}
      {offered && offered.length > 0 && (
        <fieldset className="max-h-56 overflow-auto rounded border border-base-300">
          <legend className="sr-only">{t("mask.meant")}</legend>
          {offered.map((each) => (
            <label
              key={each.mask}
              className="flex cursor-pointer items-start gap-2 border-base-300/70 border-b px-2.5 py-1.5
                last:border-0 hover:bg-base-200"
            >
              <input
                type="radio"
                name="mask-reading"
                className="radio radio-sm mt-0.5"
                checked={value === each.mask}
                onChange={() => onChange(each.mask)}
              />
              <span className="min-w-0 flex-1">
                <span className="block">{"name" in each ? `${each.name}` : each.words}</span>
                {"name" in each && <span className="quiet block text-xs">{each.words}</span>}
              </span>
              <span className="quiet font-mono text-xs">{each.sample}</span>
            </label>
          ))}
        </fieldset>
      )}
      {!ready && example.trim() !== "" && readings?.length === 0 && <p className="quiet">{t("mask.noReading")}</p>}
    </div>
  );
}
