/** Words of auto-numbers, stamps, tallies, log lines and what the change log watches. */
export const loggingWords = {
  numbering: {
    formula: "The number is",
    formulaHint: 'counter(5) stands for the count with five digits, as in "PC-" & counter(5).',
    start: "Counts from",
    step: "In steps of",
    series: "Count anew for each value of",
    byHand: "People may type another number instead",
    follow: "Write a number anew when what it is made of changes",
    counts: "Where the count stands",
    one: "All records",
    next: "next",
    highest: (n: number) => `${n} was the highest so far;`,
    left: (n: number) => (n > 0 ? `${n.toLocaleString("en")} left at this length` : "longer than its padding now"),
    set: "Set",
    waiting: (n: number) => (n === 1 ? "1 record has no number" : `${n.toLocaleString("en")} records have no number`),
    order: "In the order of",
    asMade: "being made",
    descending: "the last first",
    andMore: (n: number) => `and ${n.toLocaleString("en")} more`,
    give: (n: number) => (n === 1 ? "Give it its number" : `Give all ${n.toLocaleString("en")} their numbers`),
    given: (n: number) => (n === 1 ? "1 number given." : `${n.toLocaleString("en")} numbers given.`),
    left_: (n: number) =>
      n === 1 ? "1 record is refused by another rule." : `${n} records are refused by other rules.`,
    effect: (n: number) =>
      n === 0
        ? "Every record has its number."
        : n === 1
          ? "1 record has no number; it keeps none until you give it one."
          : `${n.toLocaleString("en")} records have no number; they keep none until you give them theirs.`,
    opening: "An empty new record would be given",
    pending: "next",
  },
  logging: {
    event: "Event",
    events: {
      madeOn: "Made on",
      madeBy: "Made by",
      changedOn: "Last changed on",
      changedBy: "Last changed by",
      reached: "A condition comes true",
      ticked: "A tick",
      changed: "A field changes",
    },
    which: "Which time",
    first: "The first time",
    last: "The last time",
    clears: "Blank again when the condition ends",
    when: "When this comes true",
    watch: "Watched fields",
    anyField: "None picked: any field counts. What this stage writes itself never does.",
    onlyThese: "Only these count.",
    stampHint: "Written by the save in which it happens, on every way in; nobody types it.",
    tallyHint: "Counts the saves after the first. Stamps and tallies never count themselves.",
    tick: "Yes/no field that is ticked",
    pickTick: "Pick a yes/no field",
    says: "The line says",
    pattern: "Before it, the moment as",
    patternHint: "d MMM yyyy, HH:mm is 23 Nov 2026, 09:30. Empty for none.",
    lineHint:
      "Lines are added below one another and never changed. The field's reading format can show the last one first.",
    filled: (n: number, total: number) =>
      n === 0
        ? `The change log fills it on none of the ${total} records.`
        : `Filled from the change log on ${n} of ${total} records, where it is blank.`,
    unknown: (n: number) => `${n.toLocaleString("en")} stay blank: the log does not know.`,
    lines: "Lines are written from now on; records that exist stay as they are.",
    title: "Change log",
    all: "every field",
    only: "only the ticked",
    all_but: "all but the ticked",
    watched: "Which fields are logged",
    watchHint: "Each save is one entry in any case. Old and new values are kept of the fields that are watched.",
  },
};
