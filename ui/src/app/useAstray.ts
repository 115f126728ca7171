import { useEffect } from "react";
import { toast } from "sonner";
import { ASTRAY, type Astray } from "../components/record/playing";
import { sentences, t } from "../words";

/** Says, on every page, that keys were pressed where they mean nothing. */
export function useAstray() {
  useEffect(() => {
    const say = (event: Event) => {
      const { text, choices } = (event as CustomEvent<Astray>).detail;
      const said = choices.length > 0 ? sentences.form.noChoiceBegins(text, choices) : t("form.astray", { text });
      toast.warning(said, { id: ASTRAY, duration: 10_000 });
    };
    window.addEventListener(ASTRAY, say);
    return () => window.removeEventListener(ASTRAY, say);
  }, []);
}
