import { describe, expect, it } from "vitest";
import { madeUp } from "../src/words/madeUp";

describe("the made-up language", () => {
  it("changes every letter and doubles vowels, as the server does, and leaves gaps as they are", () => {
    const { text } = madeUp({ text: "%{field} must be at least %{limit}, Not Quite 7." });
    expect(text).toBe("%{field} ɱúúšť ƀéé ááť łééáášť %{limit}, Ñóóť Ɋúúííťéé 7.");
  });
});
