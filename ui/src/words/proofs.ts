import type { Act } from "../api/client";

/** The interface's own words for the bench, proofs, edges and made-up records. */
export const proofsWords = {
  bench: {
    setup: "How it is tried",
    aim: "Nothing here touches your real records.",
    begin: "Begin with",
    newRecord: "a new record",
    copyOf: "a copy of",
    realOne: "a real one, as it stands",
    ownOne: "one of its own records",
    whichRecord: "Which record",
    form: "Form",
    noForm: "fields alone",
    person: "As",
    starts: { copy: "a copy", real: "a record as it stands" },
    as: (name: string) => `as ${name}`,
    nobody: "Nobody",
    clock: "Day and hour",
    realClock: "now",
    pretend: "pretend",
    backToNow: "back to now",
    manner: "Typed",
    oneByOne: "one after the other",
    atOnce: "all at once",
    trial: "Trial record",
    outcome: (state: string, thought: boolean) =>
      state === "refused"
        ? thought
          ? "Would be refused"
          : "Refused"
        : state === "deleted"
          ? "Deleted"
          : state === "back"
            ? "Back again"
            : thought
              ? "Would be saved"
              : "Saved",
    refusals: (n: number) =>
      n === 1
        ? "1 thing refuses this record. Everything typed is still here."
        : `${n} things refuse this record. Everything typed is still here.`,
    changes: (n: number, thought: boolean) =>
      n === 0
        ? thought
          ? "Nothing would be logged."
          : "Nothing was logged."
        : `${n} ${n === 1 ? "value" : "values"} ${thought ? "would be" : n === 1 ? "was" : "were"} logged.`,
    keep: "Keep as a proof",
    trace: "Step by step",
    typedStage: "Typed",
    nothingHere: "nothing to do",
    nothingWritten: "nothing is written, because the record is refused",
    clear: "Start over",
    passed: "passes",
    skipped: "passed over",
    blank: "blank",
    rule: "Open the rule",
    unfold: "unfold the formula",
    whyShort: "why?",
    why: (field: string) => `Why does ${field} hold this?`,
    whyBlank: (field: string) => `Why is ${field} blank?`,
    acts: "What was done",
    typedCount: (n: number) => `${n} typed`,
    takeBack: "Take back",
    save: "Save",
    copy: "Copy",
    remove: "Delete",
    putBack: "Put back",
    another: (one: string) => `Another ${one}`,
    leaveOpen: "Leave open …",
    leaveOpenHint: "The form stays open while the clock goes on.",
    days: "Days",
    hours: "Hours",
    wait: "Wait",
    did: (act: Act, state: string) => {
      switch (act.do) {
        case "save":
          return state === "refused" ? "refused" : "saved";
        case "delete":
          return state === "refused" ? "not deleted" : "deleted";
        case "put_back":
          return state === "refused" ? "not put back" : "put back";
        case "wait":
          return [act.days ? `${act.days} ${act.days === 1 ? "day" : "days"}` : "", act.hours ? `${act.hours} h` : ""]
            .filter(Boolean)
            .join(" ")
            .concat(" later");
        case "as":
          return `as ${act.person?.name ?? ""}`;
        case "new":
          return "another";
        default:
          return act.do === "copy" ? "copied" : act.do;
      }
    },
  },
  proofs: {
    title: "Proofs",
    states: {
      proven: "proven",
      partly: "partly proven",
      untried: "not tried",
      broken: "broken",
      passed: "came out as it must",
      unfit: "can't be run any more",
      waiting: "waits for its turn",
    },
    covered: (n: number, of: number) =>
      `${n} of ${of} ${of === 1 ? "rule" : "rules"} ${n === 1 || of === 1 ? "is" : "are"} proven.`,
    running: (done: number, of: number) => `${done} of ${of} run`,
    runAll: "Run all",
    empty: "No proof is kept here yet. Try a record, then keep it with what must come out.",
    suggest: "Suggest records at the edges",
    missing: (n: number) => (n === 0 ? "All seen" : `${n} unseen`),
    missingTitle: (table: string) => `What no proof shows yet in ${table}`,
    allSeen: "Everything that the rules of this table can do is shown by a proof.",
    make: "Make the record",
    seenOf: (n: number, of: number) => `${n} of ${of} seen`,
    differs: (expected: string, actual: string) => `expected that ${expected}; ${actual}`,
    but: (actual: string) => `but ${actual}`,
    expects: "What must come out",
    firstStep: (stage: string, field: string) =>
      `First step that differs from the last good run, ${stage} of ${field}:`,
    noStep: "no such step",
    change: "Change",
    drop: "Take away",
    dropped: (name: string) => `Taken away: ${name}`,
    putAside: "Put aside",
    keepTitle: "Keep as a proof",
    changeTitle: "Change the proof",
    name: "What it shows",
    namePlaceholder: "such as: a limit is refused just above",
    group: "Group",
    groupPlaceholder: "none",
    note: "Note",
    notePlaceholder: "For whoever reads this in a year",
    must: "What must come out",
    nothingExpected: "Nothing yet. Say at least one thing.",
    expectMore: "Expect something more",
    alsoSeen: (n: number) => `${n} more that ${n === 1 ? "was" : "were"} seen`,
    brings: (n: number) =>
      n === 0
        ? "It brings no records along"
        : n === 1
          ? "1 record that it brings along"
          : `${n} records that it brings along`,
    bringsHint:
      "It runs with these records alone, so that it comes to the same whatever becomes of the real ones. Links " +
      "are told by number.",
    bringMore: "Bring another record …",
    leaveOut: (name: string) => `Leave ${name} out`,
    fillMore: (name: string) => `Fill another field of ${name}`,
    fillOther: "another field …",
    atEnd: "in the end",
    afterAct: (n: number) => `after act ${n}`,
    when: "When",
    keepIt: "Keep it",
    saveChange: "Save the change",
    kept: (name: string) => `Kept: ${name}`,
    expectation: {
      what: "What",
      field: "Field",
      is: "Is",
      before: "Before",
      after: "After",
      fits: "Mask",
      from: "From",
      to: "To",
      end: "the end",
      by: "By which rule",
      byAny: "by any rule",
      message: "with any message",
      remove: "Do not expect this",
      yes: "Yes",
      no: "No",
      kinds: {
        saved: "it is saved",
        refused: "it is refused",
        deleted: "it is deleted",
        value: "a value",
        state: "a field's state",
        number: "a number's shape",
        logged: "a log line",
        unlogged: "no log line",
        cursor: "the cursor goes",
      },
      states: {
        shown: "shown",
        hidden: "hidden",
        open: "open",
        closed: "closed",
        required: "required",
        optional: "optional",
        read_only: "read-only",
        writable: "writable",
      },
    },
    wouldBreak: (n: number) => (n === 1 ? "1 proof would break:" : `${n} proofs would break:`),
    wouldMend: (n: number) => (n === 1 ? "1 broken proof would come right:" : `${n} broken proofs would come right:`),
    breaksNone: (n: number) => (n === 1 ? "The 1 proof concerned holds." : `All ${n} proofs concerned hold.`),
    noneConcerned: "No proof is concerned.",
    ofRule: "Proofs",
    seenBy: (n: number) =>
      n === 0 ? "No proof shows this rule." : n === 1 ? "1 proof shows this rule." : `${n} proofs show this rule.`,
    unseen: "Not seen yet:",
    more: (n: number) => `and ${n} more`,
    board: (proven: number, of: number, broken: number) =>
      `${proven} of ${of} rules proven${broken > 0 ? `, ${broken} broken` : ""}`,
  },
  mistakes: {
    title: (table: string) => `Mistakes that slip through in ${table}`,
    aim:
      "Each rule was changed a little, as a slip of the hand would: a sign, a limit, a choice, a setting. " +
      "These changes break no proof.",
    counting: (done: number, total: number) => `Counting small mistakes: ${done} of ${total} rules`,
    waiting: "Small mistakes are counted once the proofs have run.",
    noticed: (noticed: number, tried: number) =>
      `These proofs notice ${noticed} of ${tried} small mistakes in your rules.`,
    failed: "The small mistakes could not be counted. Run the proofs again.",
    slipping: (n: number) => (n === 1 ? "Show the one that slips through" : `Show the ${n} that slip through`),
    make: "Make the record",
    making: "Looking for a record…",
    none: "No record was found that shows it. With your other rules, this change may make no difference.",
    nothing: "Nothing slips through.",
    harmless: (n: number) =>
      n === 1 ? "1 more change makes no difference; see why" : `${n} more changes make no difference; see why`,
    group: "Small mistakes",
  },
  edges: {
    typed: (label: string, value: unknown) =>
      value === null || value === undefined || value === "" ? `${label} is left blank` : `${label}: ${value} typed`,
    tryRule: "Try it",
    tryShow: "Try it at its edges",
    tryHide: "Hide",
    setsNothing: "The rule sets nothing here.",
    tryAim: "The rule as it stands here, on made-up records at its limits and missing cases. Nothing is saved.",
    tryNone: "This rule has no edges to try.",
    cameOut: (values: string) => `Comes out: ${values}`,
    title: (table: string) => `Records at the edges of ${table}`,
    aim:
      "Made from the rules themselves. Say of each whether what comes out is what you meant; what you confirm " +
      "becomes a proof.",
    which: "Which",
    open: "what no proof shows",
    all: "all edges",
    count: (n: number) => (n === 1 ? "1 record" : `${n} records`),
    allRight: "All are right",
    unsound: "No made-up record passes the rules, so these start from one that is refused.",
    none: "There is nothing to suggest: what can be made is shown by proofs already.",
    right: "Right",
    mustSave: "Must be saved",
    mustRefuse: "Must be refused",
    leave: "Leave",
    saved: "is saved",
    refused: (messages: string[]) => `is refused: ${messages.join(" ")}`,
    look: "look at it",
    keep: (n: number) => (n === 1 ? "Keep 1 proof" : `Keep ${n} proofs`),
    kept: (n: number) => (n === 1 ? "1 proof kept" : `${n} proofs kept`),
    group: "At the edges",
  },
  samples: {
    atSize: (n: number) => `${n.toLocaleString("en")}, to try the grid at size`,
    name: "Made-up",
    title: (table: string) => `Made-up records for ${table}`,
    aim:
      "Plausible records that nobody typed: names, days, codes by their masks, choices as often as they " +
      "occur, links. They can be taken out again in one go.",
    which: "Which",
    pass: "that pass the rules",
    fail: "that one rule refuses",
    count: "How many",
    seed: "Seed",
    seedHint: "The same seed gives the same records.",
    make: "Make them",
    show: "Show them",
    rule: "The rule that refuses them",
    made: (n: number) => `${n.toLocaleString("en")} records made`,
    there: "Made-up records that are there",
    takeOut: "Take out",
    takenOut: "Taken out.",
    noneFails: "No record was found that this rule alone refuses.",
    failing: (n: number, wanted: number, message: string) =>
      `${n === wanted ? n : `${n} of ${wanted}`} that are refused: ${message} None of them is saved.`,
    download: "As CSV",
  },
};
