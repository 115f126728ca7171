import type { Act } from "../api/client";
import { t } from "./catalogue";

const joined = (parts: (string | false | undefined)[], by: string) => parts.filter(Boolean).join(by);

/** Messages that depend on more than one number or state: each chooses among those of the catalogue. */
export const sentences = {
  care: {
    days: (days: number) =>
      days > 3_650 ? t("space.years") : t("space.inDays", { count: days, number: days.toLocaleString("en") }),
    size: (bytes: number) => {
      const at = (size: number) => ({ number: (bytes / size).toLocaleString("en", { maximumFractionDigits: 1 }) });
      if (bytes >= 1_000_000_000) return t("care.gigabytes", at(1_000_000_000));
      return bytes >= 1_000_000 ? t("care.megabytes", at(1_000_000)) : t("care.kilobytes", at(1_000));
    },
  },
  docs: {
    least: (role: string) => (role === "anyone" ? t("docs.least.anyone") : t("docs.least.role", { role })),
  },
  link: {
    onDelete: (one: string) => t("link.onDelete", { one: one.toLowerCase() }),
    reverse: (one: string) => t("link.reverse", { one: one.toLowerCase() }),
  },
  designer: {
    widths: (n: number, of: number) => (n === of ? t("designer.widths.full") : t("designer.widths.part", { n, of })),
  },
  sheet: {
    shown: (state: string, seen: number, of: number, names: string[]) =>
      joined(
        [
          t("sheet.shown.state", { state, seen, of }),
          ...names.slice(0, 3),
          names.length > 3 && t("sheet.shown.more", { n: names.length - 3 }),
        ],
        " · ",
      ),
  },
  grid: {
    ofMany: (rows: number, columns: number) =>
      t("grid.ofMany", { rows: t("grid.rows", { count: rows }), columns: t("grid.columnCount", { count: columns }) }),
    redone: (n: number, left: number) => (left === 0 ? t("grid.redone", { n }) : t("grid.redoneSome", { n, left })),
    undone: (n: number, left: number) => (left === 0 ? t("grid.undone", { n }) : t("grid.undoneSome", { n, left })),
    pasted: (saved: number, refused: number, skipped: number) =>
      joined(
        [
          t("grid.pasted.saved", { count: saved }),
          refused > 0 && t("grid.pasted.refused", { count: refused }),
          skipped > 0 && t("grid.pasted.skipped", { count: skipped }),
        ],
        ", ",
      ),
  },
  bulk: {
    would: (deed: string, saved: number, unchanged: number, refused: number) => {
      if (deed === "delete")
        return refused > 0 ? t("bulk.would.deleteSome", { saved, refused }) : t("bulk.would.delete", { saved });
      if (deed === "copy")
        return refused > 0
          ? t("bulk.would.copySome", { count: saved, refused })
          : t("bulk.would.copy", { count: saved });
      return t("bulk.would.change", { count: unchanged, saved, refused });
    },
  },
  imports: {
    /** The first of some choices, and how many there are besides. */
    choices: (all: string[], shown: number) =>
      [all.slice(0, shown).join(", "), all.length > shown && t("imports.more", { count: all.length - shown })]
        .filter(Boolean)
        .join(" "),
    told: (format: string, rows: number, about: boolean) =>
      t("imports.told.file", {
        format: format.toUpperCase(),
        rows: about ? t("imports.told.about", { count: rows }) : t("imports.told.rows", { count: rows }),
      }),
    several: (tables: number, rows: number) =>
      joined([t("imports.tableCount", { count: tables }), t("imports.told.rows", { count: rows })], ", "),
    inside: (rows: number, fields: number) =>
      joined([t("imports.told.rows", { count: rows }), t("imports.fieldCount", { count: fields })], ", "),
    filled: (filled: number, blank: number) =>
      blank === 0 ? t("imports.filled.always") : t("imports.filled.some", { blank, all: filled + blank }),
    tried: (made: number, changed: number, unchanged: number, refused: number) =>
      joined(
        [
          made > 0 && t("imports.tried.new", { n: made }),
          changed > 0 && t("imports.tried.changed", { n: changed }),
          unchanged > 0 && t("imports.tried.unchanged", { n: unchanged }),
          refused > 0 && t("imports.tried.refused", { n: refused }),
        ],
        " · ",
      ) || t("imports.tried.nothing"),
  },
  exports: {
    shown: (records: number, columns: number) => t("exports.shown", extent(records, columns)),
    whole: (records: number, columns: number) => t("exports.whole", extent(records, columns)),
  },
  numbering: {
    left: (n: number) => (n > 0 ? t("numbering.left", { n }) : t("numbering.past")),
  },
  bench: {
    outcome: (state: string, thought: boolean) => {
      if (state === "refused") return thought ? t("bench.outcome.wouldBeRefused") : t("bench.outcome.refused");
      if (state === "deleted") return t("bench.outcome.deleted");
      if (state === "back") return t("bench.outcome.back");
      return thought ? t("bench.outcome.wouldBeSaved") : t("bench.outcome.saved");
    },
    changes: (count: number, thought: boolean) =>
      thought ? t("bench.changes.would", { count }) : t("bench.changes.did", { count }),
    did: (act: Act, state: string) => {
      const refused = state === "refused";
      switch (act.do) {
        case "save":
          return refused ? t("bench.did.refused") : t("bench.did.saved");
        case "delete":
          return refused ? t("bench.did.notDeleted") : t("bench.did.deleted");
        case "put_back":
          return refused ? t("bench.did.notRestored") : t("bench.did.restored");
        case "wait":
          return t("bench.did.later", {
            span: joined(
              [
                !!act.days && t("bench.did.days", { count: act.days }),
                !!act.hours && t("bench.did.hours", { n: act.hours }),
              ],
              " ",
            ),
          });
        case "as":
          return t("bench.did.as", { name: act.person?.name ?? "" });
        case "new":
          return t("bench.did.another");
        default:
          return act.do === "copy" ? t("bench.did.copied") : act.do;
      }
    },
  },
  proofs: {
    board: (proven: number, of: number, broken: number) =>
      broken > 0 ? t("proofs.boardBroken", { proven, of, broken }) : t("proofs.board", { proven, of }),
  },
  edges: {
    typed: (label: string, value: unknown) =>
      value === null || value === undefined || value === ""
        ? t("edges.leftBlank", { label })
        : t("edges.typed", { label, value: String(value) }),
    refused: (messages: string[]) => t("edges.refused", { messages: messages.join(" ") }),
  },
  samples: {
    failing: (n: number, wanted: number, message: string) =>
      n === wanted ? t("samples.failing", { n, message }) : t("samples.failingSome", { n, wanted, message }),
  },
  form: {
    newTitle: (one: string) => t("form.newTitle", { one: one.toLowerCase() }),
    spokenFilled: (label: string, text: string) =>
      text === "" ? t("form.spokenBlank", { label }) : t("form.spokenFilled", { label, text }),
    noChoiceBegins: (text: string, choices: string[]) =>
      t("form.noChoiceBegins", { text, choices: choices.join(", ") }),
    makeNew: (text: string) => (text.trim() ? t("form.makeNew", { text: text.trim() }) : t("form.makeNewOne")),
  },
  records: {
    clash: (person: string, text: string) =>
      text === "" ? t("records.clashBlank", { person }) : t("records.clash", { person, text }),
    shown: (n: number, total: number) =>
      n === total ? t("records.shown", { count: total }) : t("records.shownSome", { n, total }),
  },
  history: {
    barName: (from: string, to: string, count: number) =>
      t("history.barName", {
        span: from === to ? from : t("history.barSpan", { from, to }),
        saves: t("history.saves", { count }),
      }),
  },
  tidyReview: {
    accepted: (count: number, left: number) =>
      left > 0 ? t("tidyReview.acceptedSome", { count, left }) : t("tidyReview.accepted", { count }),
  },
  narrow: {
    pasted: (pairs: number, values: number) =>
      t("narrow.pasted", {
        pairs: t("narrow.pairs", { count: pairs }),
        values: t("narrow.pastedValues", { count: values }),
      }),
    pastedUnknown: (pairs: number, unknown: string[]) =>
      t("narrow.pastedUnknown", {
        pairs: t("narrow.pairs", { count: pairs }),
        unknown: unknown
          .slice(0, 6)
          .map((each) => `“${each}”`)
          .join(", ")
          .concat(unknown.length > 6 ? " …" : ""),
      }),
    hint: (label: string, key: string) => (label ? t("narrow.hint", { key, label }) : t("narrow.hintAlone", { key })),
  },
  job: {
    count: (done: number, total: number) => (total === 0 ? "" : t("job.count", { done, total })),
    left: (seconds: number) => {
      if (seconds < 5) return t("job.left.few");
      if (seconds < 90) return t("job.left.seconds", { n: Math.ceil(seconds / 5) * 5 });
      return t("job.left.minutes", { count: Math.ceil(seconds / 60) });
    },
  },
};

const extent = (records: number, columns: number) => ({
  records: t("exports.records", { count: records }),
  columns: t("exports.columns", { count: columns }),
});
