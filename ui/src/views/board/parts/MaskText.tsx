import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, data } from "../../../api/client";
import { queryKeys } from "../../../api/queryKeys";
import { MessageText } from "../../../components/MessageText";
import { SegmentedControl } from "../../../components/SegmentedControl";
import { useDebounced } from "../../../components/useDebounced";
import { t } from "../../../words";
import { MaskExample } from "./MaskExample";
import { MaskPieces } from "./MaskPieces";
import { MaskTry } from "./MaskTry";

type Props = { value: string; onChange: (mask: string) => void; bare?: boolean; live?: boolean };
type Way = "example" | "pieces" | "text" | "ready";

/** What the server reads from a mask, shortly after the last key. */
export function useMask(mask: string, text: string, bare: boolean) {
  const debounced = useDebounced({ mask, text }, 120);
  return useQuery({
    queryKey: queryKeys.mask(debounced.mask, debounced.text, bare),
    queryFn: () => data(api.POST("/api/masks", { body: { ...debounced, bare } })),
    enabled: debounced.mask !== "",
    placeholderData: (before) => before,
  }).data;
}

/** A mask: found by example, put together from pieces, written out, or begun from a ready-made one. */
export function MaskText({ value, onChange, bare = false, live = false }: Props) {
  const [way, setWay] = useState<Way>(value === "" ? "example" : "pieces");
  const [tried, setTried] = useState("");
  const read = useMask(value, tried, bare);
  const sound = value !== "" && read && !read.problem ? read : null;
  return (
    <div className="flex flex-col gap-3">
      <SegmentedControl<Way>
        name={t("mask.way")}
        value={way}
        options={[
          ["example", t("mask.ways.example")],
          ["pieces", t("mask.ways.pieces")],
          ["text", t("mask.ways.text")],
          ["ready", t("mask.ways.ready")],
        ]}
        onChange={setWay}
      />
      {(way === "example" || way === "ready") && (
        <MaskExample key={way} ready={way === "ready"} value={value} onChange={onChange} />
      )}
      {way === "pieces" && <MaskPieces value={value} pieces={sound?.pieces ?? []} onChange={onChange} />}
      {way === "text" && (
        <input
          aria-label={t("mask.ways.text")}
          data-first
          className="input w-full font-mono"
          value={value}
          spellCheck={false}
          placeholder={'2UPPER "-" 3DIGIT'}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      {value !== "" && read?.problem && (
        <p className="text-error" role="alert">
          <MessageText text={read.problem.message} />
        </p>
      )}
      {sound && (
        <div>
          <p>
            {t("mask.reads")} <strong>{sound.words}</strong>
            <span className="quiet">
              {" "}
              {t("mask.such")} <span className="font-mono">{sound.sample}</span>
            </span>
          </p>
          {way !== "text" && <code className="quiet font-mono text-xs">{sound.mask}</code>}
        </div>
      )}
      {sound && live && <MaskTry read={sound} text={tried} onText={setTried} bare={bare} />}
    </div>
  );
}
