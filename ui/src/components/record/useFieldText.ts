import { useLayoutEffect, useRef, useState } from "react";
import type { Answer, Field } from "../../api/client";

type Props = {
  field: Field;
  /** What was typed there, undefined for nothing. */
  raw: string | number | boolean | null | undefined;
  /** What the server last made of the field. */
  found: Answer["fields"][string] | undefined;
  /** Whether that was made from the present input. */
  answered: boolean;
  onLeave: (text: string | number | null) => void;
};

/** The text of a field while it is typed, left and answered. */
export function useFieldText({ field, raw, found, answered, onLeave }: Props) {
  const [text, draw] = useState<string | null>(null);
  // Read when the field is left, which may be before what was typed is drawn.
  const latest = useRef(text);
  const setText = (now: string | null) => {
    latest.current = now;
    draw(now);
  };
  const [inside, setInside] = useState(false);
  const [linked, setLinked] = useState<{ id: number; title: string } | null>(null);
  // What was typed stands until the server has read it; no answer, late or lost, takes it away.
  const asTyped = linked && raw === linked.id ? linked.title : String(raw ?? found?.text ?? "");
  const whole = answered && found && found.source !== "unreadable" ? found.text : asTyped;
  // Whoever is in the field sees it as one would type it, without unit and the like.
  const plain = answered && found && inside && raw === undefined ? found.edit : whole;

  const leave = (now: string | null) => {
    setText(null);
    onLeave(now !== null && now !== plain ? now : null);
  };

  const link = (picked: { id: number; title: string } | string | null) => {
    if (picked === null || typeof picked === "string") return onLeave(picked);
    setLinked(picked);
    onLeave(picked.id);
  };

  // A value that comes while the cursor stands in the field is typed over, as one that was there before.
  const came = useRef(found?.text);
  useLayoutEffect(() => {
    if (came.current === found?.text) return;
    came.current = found?.text;
    const input = document.activeElement;
    if (inside && latest.current === null && input instanceof HTMLInputElement && input.value === plain) input.select();
  }, [found?.text, plain, inside]);

  return {
    value: text ?? plain,
    computed: answered && (found?.source === "rule" || field.given),
    setText,
    setInside,
    leave,
    leaveTyped: () => leave(latest.current),
    link,
  };
}
