import { useCallback, useContext, useState } from "react";
import { findCandidates } from "../../api/queries";
import type { InputProps } from "./FieldInput";
import { MatchInput } from "./MatchInput";
import { NewLinkedContext } from "./NewLinkedContext";
import { OwnRecordsContext } from "./OwnRecordsContext";

type Props = InputProps & { input: Record<string, unknown>; className: string };

/** A link: found by any part of the name among the records that belong, or made on the spot. */
export function LinkInput({ field, value, within, onKey, onLink, onBusy, input, className }: Props) {
  const [making, setMaking] = useState<string | null>(null);
  const { table, typed, id } = within;
  const NewLinked = useContext(NewLinkedContext);
  const records = useContext(OwnRecordsContext) ?? undefined;
  const search = useCallback(
    (text: string, signal?: AbortSignal) => findCandidates(table, field.key, { text, typed, id, records }, signal),
    [table, field.key, typed, id, records],
  );
  return (
    <>
      <MatchInput
        table={field.target ?? ""}
        search={search}
        value={value}
        input={input}
        className={className}
        onKey={onKey}
        onPick={onLink}
        onLeave={onLink}
        // A record that is made is a real one, which such a trial does not see.
        onNew={records ? undefined : setMaking}
        onBusy={onBusy}
        // Only a form waits for searches, and only a form has a next field.
        goesOn={onBusy !== undefined}
      />
      {making !== null && NewLinked && (
        <NewLinked
          table={field.target ?? ""}
          name={making}
          onMade={(made) => {
            setMaking(null);
            onLink(made);
            requestAnimationFrame(() => document.getElementById(String(input.id))?.focus());
          }}
          onClose={() => {
            setMaking(null);
            requestAnimationFrame(() => document.getElementById(String(input.id))?.focus());
          }}
        />
      )}
    </>
  );
}
