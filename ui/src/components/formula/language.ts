import { HighlightStyle, StreamLanguage, syntaxHighlighting } from "@codemirror/language";
import { EditorView } from "@codemirror/view";
import { tags } from "@lezer/highlight";

/** Words of the language, offered and highlighted. */
export const KEYWORDS = [
  "and",
  "or",
  "not",
  "if",
  "then",
  "else",
  "between",
  "in",
  "contains",
  "starts with",
  "ends with",
  "is blank",
  "is not blank",
  "yes",
  "no",
  "blank",
  "mod",
  "fits",
  "where",
  "old.",
  "this.",
  "user.name",
  "user.email",
  "user.role",
  "is_new",
];
const WORDS = new Set(KEYWORDS.flatMap((each) => each.split(/[ .]/)).concat("is", "with", "user", "old", "this"));

/** Colours a formula; what it means is the server's to say. */
export function formulaLanguage(fields: string[], functions: string[]) {
  const known = new Set(fields);
  const callable = new Set(functions);
  return StreamLanguage.define({
    token(stream) {
      if (stream.eatSpace()) return null;
      if (stream.match(/^--.*/)) return "comment";
      if (stream.match(/^"(?:[^"]|"")*"?/)) return "string";
      if (stream.match(/^\d+(\.\d+)?/)) return "number";
      const word = stream.match(/^[\p{L}_][\p{L}\p{N}_]*/u);
      if (Array.isArray(word)) {
        const name = word[0].toLowerCase();
        if (callable.has(name) && stream.peek() === "(") return "function";
        if (WORDS.has(name)) return "keyword";
        return known.has(name) ? "propertyName" : null;
      }
      stream.next();
      return "operator";
    },
    tokenTable: { function: tags.function(tags.variableName) },
  });
}

export const formulaColours = [
  syntaxHighlighting(
    HighlightStyle.define([
      { tag: tags.comment, color: "var(--quiet)", fontStyle: "italic" },
      { tag: tags.string, color: "var(--color-secondary)" },
      { tag: tags.number, color: "var(--color-info)" },
      { tag: tags.keyword, color: "var(--quiet)", fontWeight: "600", textTransform: "lowercase" },
      { tag: tags.propertyName, color: "var(--color-primary)", fontWeight: "600" },
      { tag: tags.function(tags.variableName), color: "var(--color-info)", textTransform: "lowercase" },
    ]),
  ),
  EditorView.theme({
    "&": { fontFamily: "var(--font-mono)", fontSize: "0.8125rem", backgroundColor: "transparent" },
    "&.cm-focused": { outline: "none" },
    ".cm-content": {
      fontFamily: "var(--font-mono)",
      padding: "0.5rem 0.25rem",
      caretColor: "var(--color-base-content)",
    },
    ".cm-tooltip": {
      backgroundColor: "var(--color-base-100)",
      border: "1px solid var(--color-base-300)",
      color: "var(--color-base-content)",
      borderRadius: "0.25rem",
    },
    ".cm-tooltip.cm-tooltip-autocomplete > ul": { fontFamily: "var(--font-sans)" },
    ".cm-tooltip.cm-tooltip-autocomplete > ul > li": { padding: "0.2rem 0.5rem" },
    ".cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]": {
      backgroundColor: "var(--tint-lit)",
      color: "var(--color-base-content)",
    },
    ".cm-completionDetail": {
      color: "var(--quiet)",
      fontStyle: "normal",
      fontFamily: "var(--font-mono)",
      fontSize: "0.6875rem",
    },
    ".cm-completionInfo": { padding: "0.4rem 0.6rem", maxWidth: "16rem", fontFamily: "var(--font-sans)" },
    ".cm-label": {
      color: "var(--color-primary)",
      fontFamily: "var(--font-sans)",
      fontWeight: "600",
      borderBottom: "1px solid var(--color-base-300)",
      padding: "0 1px",
    },
    ".cm-diagnostic": { fontFamily: "var(--font-sans)", borderLeft: "3px solid var(--color-error)" },
  }),
];
