import { type ClipboardEvent, type ComponentProps, type FormEvent, useEffect, useMemo, useRef, useState } from "react";
import { useIMask } from "react-imask";
import { t } from "../../words";
import { type CompiledMask, follow, format, hasLongCharacters, passedOver } from "./masking";

/** Characters beyond which a pasted text is not even tried. */
const MOST_PASTED = 4_000;

type Props = {
  mask: CompiledMask;
  value: string;
  onType: (text: string) => void;
  onLeave: () => void;
} & Pick<ComponentProps<"input">, "id" | "className" | "placeholder" | "aria-invalid" | "aria-describedby">;

/** Whether the mask library can take a text key by key: it counts an emoji as two. */
const followed = (mask: CompiledMask, text: string) => format(mask, text).fits && !hasLongCharacters(text);

/**
 * An input that follows a mask key by key. While its text does not fit (an old one, a pasted one, or
 * one from whose middle something was deleted) the mask lets go of it, so that nothing is lost; as
 * soon as it fits again the mask takes hold. Of what stays, the server says what is wrong with it.
 */
export function MaskedInput({ mask, value, onType, onLeave, ...input }: Props) {
  const fits = useMemo(() => value === "" || followed(mask, value), [mask, value]);
  const [free, setFree] = useState(!fits);
  const [note, setNote] = useState<string | null>(null);
  // Figures alone are typed on the keys for figures; separators come by themselves.
  const figures = mask.patterns.every((pattern) => /^(?:\\.|\[D\]|D)*$/u.test(pattern));
  const focused = useRef(false);
  const caret = useRef<number | null>(null);
  const [turned, setTurned] = useState(0);
  const stood = useRef("");
  const options = useMemo(() => (free ? {} : follow(mask)), [mask, free]);
  const { ref, setValue } = useIMask<HTMLInputElement>(options as never, {
    // Only what somebody types counts; a value put in from outside is known already.
    onAccept: (text, _mask, event) => {
      if (event) onType(text);
    },
  });

  useEffect(() => {
    const box = ref.current as HTMLInputElement | null;
    if (!free) setValue(value);
    if (box && box.value !== value) box.value = value;
    if (box && caret.current !== null) box.setSelectionRange(caret.current, caret.current);
    caret.current = null;
  }, [free, value, setValue, ref]);
  // What comes from outside, such as the server's form of it, decides anew.
  useEffect(() => {
    if (!focused.current) setFree(!fits);
  }, [fits]);

  const put = (text: string, place: number | null) => {
    const formatted = format(mask, text);
    // Separators may have come before the caret.
    const head = format(mask, text.slice(0, place ?? text.length));
    caret.current = formatted.fits && head.fits ? head.text.length : place;
    setFree(!formatted.fits || hasLongCharacters(formatted.text));
    onType(formatted.text);
  };

  // Heard before the mask hears it: a deletion that would push the rest out is not the mask's to handle.
  const before = (event: FormEvent<HTMLInputElement>) => {
    const { value: now, selectionStart } = event.currentTarget;
    const deleted = (event.nativeEvent as InputEvent).inputType?.startsWith("delete");
    if (!free && !hasLongCharacters(now) && !(deleted && now !== "" && !format(mask, now).fits)) return;
    event.stopPropagation();
    put(now, selectionStart);
  };

  // A key that the mask drops is said: nothing that somebody presses vanishes silently.
  useEffect(() => {
    const box = ref.current as HTMLInputElement | null;
    const before = () => {
      stood.current = box?.value ?? "";
    };
    box?.addEventListener("beforeinput", before);
    return () => box?.removeEventListener("beforeinput", before);
  }, [ref]);
  const after = (event: FormEvent<HTMLInputElement>) => {
    const { data, inputType } = event.nativeEvent as InputEvent;
    const dropped =
      inputType === "insertText" && data && event.currentTarget.value === stood.current && !passedOver(mask, data);
    setNote(dropped ? t("form.noPlace", { key: data, most: mask.longest }) : null);
    if (dropped) setTurned((count) => count + 1);
    stood.current = event.currentTarget.value;
  };

  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const pasted = event.clipboardData.getData("text");
    event.preventDefault();
    if (pasted.length > MOST_PASTED) return setNote(t("form.tooMuchPasted", { n: pasted.length, most: mask.longest }));
    const { selectionStart, selectionEnd, value: now } = event.currentTarget;
    const head = now.slice(0, selectionStart ?? 0) + pasted.trim();
    const tail = now.slice(selectionEnd ?? now.length);
    setNote(null);
    put(head + tail, head.length);
  };

  return (
    <>
      <input
        {...input}
        ref={ref as React.RefObject<HTMLInputElement>}
        defaultValue={value}
        inputMode={figures ? "numeric" : undefined}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        onInputCapture={before}
        onInput={after}
        onPaste={paste}
        onFocus={() => {
          focused.current = true;
        }}
        onBlur={() => {
          focused.current = false;
          setNote(null);
          onLeave();
        }}
      />
      {note && (
        <p key={turned} role="alert" className="shake px-2.5 pb-1 text-error text-xs">
          {note}
        </p>
      )}
    </>
  );
}
