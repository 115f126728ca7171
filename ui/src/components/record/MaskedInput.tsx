import { type ClipboardEvent, type ComponentProps, useEffect, useMemo, useRef, useState } from "react";
import { useIMask } from "react-imask";
import { words } from "../../words";
import { type CompiledMask, follow, settle } from "./masking";

/** Characters beyond which a pasted text is not even tried. */
const MOST_PASTED = 4_000;

type Props = {
  mask: CompiledMask;
  value: string;
  onType: (text: string) => void;
  onLeave: () => void;
} & Pick<ComponentProps<"input">, "id" | "className" | "placeholder" | "aria-invalid" | "aria-describedby">;

/**
 * An input that follows a mask key by key. A text that does not fit, old or pasted, is shown as it
 * is in a plain input, so that nothing of it is lost; the server says what is wrong with it.
 */
export function MaskedInput({ mask, value, onType, onLeave, ...input }: Props) {
  const fits = useMemo(() => value === "" || settle(mask, value).fits, [mask, value]);
  const [plain, setPlain] = useState(!fits);
  const [note, setNote] = useState<string | null>(null);
  const focused = useRef(false);
  const box = useRef<HTMLInputElement | null>(null);

  // The input itself is changed only while nobody is in it.
  useEffect(() => {
    if (!focused.current) setPlain(!fits);
  }, [fits]);

  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const pasted = event.clipboardData.getData("text");
    if (pasted.length > MOST_PASTED) {
      event.preventDefault();
      setNote(words.form.tooMuchPasted(pasted.length, mask.longest));
      return;
    }
    const { selectionStart, selectionEnd, value: now } = event.currentTarget;
    const next = now.slice(0, selectionStart ?? 0) + pasted.trim() + now.slice(selectionEnd ?? now.length);
    const settled = settle(mask, next);
    event.preventDefault();
    setNote(null);
    if (!settled.fits) setPlain(true);
    onType(settled.text);
  };

  const shared = {
    ...input,
    onPaste: paste,
    onFocus: () => {
      focused.current = true;
    },
    onBlur: () => {
      focused.current = false;
      setNote(null);
      setPlain(!fits);
      onLeave();
    },
  };
  return (
    <>
      {plain ? (
        <PlainInput
          {...shared}
          value={value}
          returning={focused.current}
          onChange={(event) => onType(event.target.value)}
        />
      ) : (
        <FollowingInput {...shared} mask={mask} value={value} onType={onType} box={box} />
      )}
      {note && (
        <p role="alert" className="px-2.5 pb-1 text-error text-xs">
          {note}
        </p>
      )}
    </>
  );
}

/** Takes the focus over when it stands in for the masked input while somebody is typing. */
function PlainInput({ returning, ...input }: ComponentProps<"input"> & { returning: boolean }) {
  const box = useRef<HTMLInputElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when it appears
  useEffect(() => {
    if (returning) box.current?.focus();
  }, []);
  return <input ref={box} autoComplete="off" {...input} />;
}

type FollowingProps = Omit<ComponentProps<"input">, "value"> & {
  mask: CompiledMask;
  value: string;
  onType: (text: string) => void;
  box: React.RefObject<HTMLInputElement | null>;
};

function FollowingInput({ mask, value, onType, box, ...input }: FollowingProps) {
  const options = useMemo(() => follow(mask), [mask]);
  const { ref, setValue } = useIMask<HTMLInputElement>(options as never, {
    // Only what somebody types counts; a value put in from outside is known already.
    onAccept: (text, _mask, event) => {
      if (event) onType(text);
    },
  });
  useEffect(() => setValue(value), [value, setValue]);
  return (
    <input
      ref={(element) => {
        ref.current = element as HTMLInputElement;
        box.current = element;
      }}
      autoComplete="off"
      autoCapitalize="off"
      spellCheck={false}
      {...input}
    />
  );
}
