/** The interface's own words for the grid and for changes of many records. */
export const gridWords = {
  grid: {
    open: (title: string) => `Open ${title}`,
    pick: (n: number) => `Pick record ${n}`,
    pickAll: "Pick all",
    newRow: "new",
    columns: "Columns",
    columnsAim: "Drag to reorder. A held column stays in sight.",
    hold: (label: string) => `Hold ${label} in sight`,
    release: (label: string) => `Let ${label} scroll`,
    showColumn: (label: string) => `Show ${label}`,
    moveColumn: (label: string) => `Move ${label}`,
    usual: "As usual",
    width: (label: string) => `Width of ${label}`,
    sortBy: (label: string) => `Sort by ${label}; with Shift, after the others`,
    sorted: (place: number) => `sorted, place ${place}`,
    total: (label: string) => `Total of ${label}`,
    totals: {
      filled: "filled",
      blank: "blank",
      sum: "sum",
      average: "average",
      least: "least",
      greatest: "greatest",
    } as Record<string, string>,
    noTotal: "no total",
    hint: "Type, or F2 · Tab to the next cell · Ctrl D fills down · Ctrl F finds · Ctrl Z undoes · F8 what writes this",
    keepView: "Keep this view",
    viewName: "Name of the view",
    kept: (name: string) => `View kept: ${name}`,
    dropView: (name: string) => `Take the view ${name} away`,
    byRule: "by a rule",
    why: "Why is this blank?",
    whyNot: "Nothing here says why; it was not filled.",
    ofMany: (rows: number, columns: number) =>
      `${rows.toLocaleString("en")} ${rows === 1 ? "row" : "rows"} × ${columns} ` +
      `${columns === 1 ? "column" : "columns"}`,
    copied: (n: number) => `${n === 1 ? "1 cell" : `${n.toLocaleString("en")} cells`} copied.`,
    tooMuch: "Up to 5,000 rows can be copied, pasted or cleared at once; for more, export and import.",
    emptyRow: "Type a new record here",
    nothingChanged: "Nothing changed: the cells have these values already.",
    nothingTyped: "Nothing was typed, so no record was made.",
    gaveUp: "The row is as it was saved.",
    find: "Find in all records",
    findOn: "Next (Enter)",
    findBack: "Previous (Shift Enter)",
    findClose: "Close (Esc)",
    findAim: "Enter goes to the next one, Shift Enter back.",
    found: (n: number, of: number) =>
      of === 1 ? "1 record" : `Record ${n.toLocaleString("en")} of ${of.toLocaleString("en")}`,
    foundNone: (text: string) => `“${text}” stands in no record of this view.`,
    nothingToRedo: "Nothing was undone that could be done again.",
    redone: (n: number, left: number) =>
      left === 0
        ? `Done again: ${n.toLocaleString("en")}.`
        : `Done again: ${n.toLocaleString("en")}; ${left} left as they are.`,
    waitingPlace: (n: number, of: number) => `${n.toLocaleString("en")} of ${of.toLocaleString("en")}`,
    waitingNext: "Next",
    waitingBefore: "Previous",
    waitingShow: "Show it",
    nothingToUndo: "Nothing was changed here that could be taken back.",
    undone: (n: number, left: number) =>
      left === 0
        ? `Taken back: ${n.toLocaleString("en")}.`
        : `Taken back: ${n.toLocaleString("en")}; ${left} left as they are.`,
    pasting: "Pasting…",
    pasted: (saved: number, refused: number, passedOver: number) =>
      [
        saved === 1 ? "1 record saved" : `${saved.toLocaleString("en")} records saved`,
        refused > 0 && `${refused.toLocaleString("en")} to mend`,
        passedOver > 0 && `${passedOver.toLocaleString("en")} cells passed over, since rules write them`,
      ]
        .filter(Boolean)
        .join(", "),
    waiting: (n: number) => (n === 1 ? "1 row waits to be mended" : `${n.toLocaleString("en")} rows wait to be mended`),
    waitingAim: "What was refused is kept here until it is mended or left out.",
    retry: "Try all again",
    leaveAllOut: "Leave all out",
  },
  bulk: {
    picked: (n: number) => (n === 1 ? "1 picked" : `${n.toLocaleString("en")} picked`),
    allOf: (n: number) => `Pick all ${n.toLocaleString("en")} that match`,
    unpick: "Unpick",
    change: "Change a field",
    copy: "Copy",
    number: "Give numbers",
    tidy: "Tidy",
    delete: "Delete",
    titles: {
      change: (n: number, table: string) => `Change ${count(n, table)}`,
      copy: (n: number, table: string) => `Copy ${count(n, table)}`,
      number: (n: number, table: string) => `Give numbers to ${count(n, table)}`,
      tidy: (n: number, table: string) => `Tidy ${count(n, table)}`,
      delete: (n: number, table: string) => `Delete ${count(n, table)}`,
    },
    field: "Field",
    becomes: "becomes",
    blank: "Empty makes it blank.",
    looking: "Trying it on each record…",
    would: (deed: string, saved: number, unchanged: number, refused: number) =>
      deed === "delete"
        ? `${saved.toLocaleString("en")} will be deleted` +
          `${refused > 0 ? `, ${refused.toLocaleString("en")} can't be deleted` : ""}.`
        : deed === "copy"
          ? `${saved.toLocaleString("en")} ${saved === 1 ? "copy" : "copies"} will be made` +
            `${refused > 0 ? `, ${refused.toLocaleString("en")} would be refused` : ""}.`
          : `${saved.toLocaleString("en")} would be saved, ${unchanged.toLocaleString("en")} ` +
            `${unchanged === 1 ? "is" : "are"} that way already, ${refused.toLocaleString("en")} would be ` +
            `refused.`,
    refusedBy: "Refused",
    noRule: "as it can't be read, or the record is gone",
    what: "What the rules would make of them",
    oneEntry: "All of it is one entry in History and can be taken back as one.",
    go: (n: number, kind = "change") =>
      `${DO[kind] ?? "Do it with"} ${n === 1 ? "1 record" : `${n.toLocaleString("en")} records`}`,
    goPassing: (n: number, kind = "change") =>
      `${DO[kind] ?? "Do it with"} ${n === 1 ? "the 1 that passes" : `the ${n.toLocaleString("en")} that pass`}`,
    nothing: "There is nothing to do.",
    done: (n: number) => (n === 1 ? "Done: 1 record." : `Done: ${n.toLocaleString("en")} records.`),
    takeBack: "Take back",
    more: (n: number) => `and ${n.toLocaleString("en")} more`,
  },
};

const count = (n: number, table: string) => `${n === 1 ? "1 record" : `${n.toLocaleString("en")} records`} of ${table}`;

/** What is done with many records. */
const DO: { [kind: string]: string } = {
  change: "Change",
  delete: "Delete",
  copy: "Copy",
  number: "Number",
  tidy: "Tidy",
};
