/** The interface's own words around all views. */
export const shellWords = {
  name: "Up Tack",
  views: { rules: "Rules", forms: "Forms", records: "Records", bench: "Bench", history: "History", map: "Map" },
  errors: {
    offline: "Up Tack can't be reached. What you typed is kept here; try again in a moment.",
    unexpected: "Something went wrong here. Nothing was saved.",
    missingPage: "There is nothing at this address.",
    backToTables: "Back to the tables",
  },
  shell: {
    allTables: "All tables",
    find: "Find",
    findHint: "Find a table, field, rule, record or command",
    nothingFound: "Nothing of that name.",
    shortcuts: "Keyboard",
    theme: { calico: "Switch to lamplight (dark)", lamplight: "Switch to calico (light)" },
    you: "You",
    undo: "Undo",
    redo: "Redo",
    undone: (what: string) => `Undone: ${what}`,
    redone: (what: string) => `Done again: ${what}`,
    nothingToUndo: "There is no change of the design to undo.",
    nothingToRedo: "There is nothing to do again.",
    skip: "Skip to the content",
    clock: (zone: string) => `Day and hour at the firm (${zone})`,
  },
  overview: {
    aim: "Pin rules on a table's fields, try a record on the bench, then let people type.",
    add: "New table",
    addPlaceholder: "Name, such as Glazes",
    create: "Make table",
    records: (n: number) => (n === 1 ? "1 record" : `${n.toLocaleString("en")} records`),
    fields: (n: number) => (n === 1 ? "1 field" : `${n} fields`),
    rules: (n: number) => (n === 1 ? "1 rule" : `${n} rules`),
    empty: "There is no table yet. A table holds records of one kind: members, pieces, orders.",
    rename: "Rename",
    remove: "Delete",
    removeTitle: (table: string) => `Delete ${table}?`,
    removeText: (n: number) =>
      `Its ${n.toLocaleString("en")} records and all its rules go with it. An undo brings everything back.`,
    removeElsewhere: "These rules of other tables use it and go with it:",
    removed: (table: string) => `${table} deleted`,
    renameTitle: "Rename the table",
    label: "Name of the table",
    one: "What one record is called",
  },
  job: {
    title: "Working it out on every record",
    begin: "Getting ready …",
    field: (name: string) => `${name}`,
    count: (done: number, total: number) =>
      total === 0 ? "" : `${done.toLocaleString("en")} of ${total.toLocaleString("en")} records`,
    left: (seconds: number) =>
      seconds < 5
        ? "a few seconds left"
        : seconds < 90
          ? `about ${Math.ceil(seconds / 5) * 5} seconds left`
          : `about ${Math.ceil(seconds / 60)} minutes left`,
    stop: "Stop",
    note: "Until it is finished everything stays as it was. Stopping leaves the design and all records unchanged.",
    stopped: "Stopped. The design and all records are as they were.",
    done: "Done.",
  },
  roles: { builder: "builders", clerk: "clerks", reader: "readers" } as Record<string, string>,
  outbox: {
    title: "Outbox",
    aim: "Notices to people. They stay in here; nothing is sent out of the firm.",
    check: "Check what is due",
    checked: (n: number) => (n === 0 ? "Nothing is due." : n === 1 ? "1 notice was made." : `${n} notices were made.`),
    empty: "No notices yet. A table's clean-ups can tell somebody when suggestions wait.",
    to: (name: string) => `To ${name}`,
    open: "Look",
  },
  keys: {
    title: "Keyboard",
    groups: [
      {
        name: "Everywhere",
        keys: [
          ["Ctrl K", "find anything"],
          ["?", "this list"],
          ["Ctrl Z", "undo a change of the design"],
          ["Ctrl Shift Z", "do it again"],
          ["Esc", "close"],
        ],
      },
      {
        name: "Board",
        keys: [
          ["← ↑ → ↓", "from tack to tack"],
          ["Enter", "open, or pin a rule on an empty place"],
          ["Alt ↑ ↓", "move a field"],
          ["Del", "delete a field or take off a rule"],
          ["Ins", "add a field"],
          ["Ctrl Enter", "save the rule or field"],
        ],
      },
      {
        name: "Records",
        keys: [
          ["← ↑ → ↓", "from cell to cell; with Shift a range, with Ctrl to the end"],
          ["F2, Enter, a letter", "type right in the cell; Enter and Tab save and go on, Esc leaves it"],
          ["Del", "make the range blank"],
          ["Ctrl C, Ctrl V", "copy and paste a block, also from and to a spreadsheet"],
          ["Ctrl Z", "take back what was last changed here"],
          ["Space, Ctrl A", "pick the rows of the range, or all that match"],
          ["Ctrl Enter", "open the record"],
        ],
      },
      {
        name: "Form",
        keys: [
          ["Ins", "in a link: make a new record"],
          ["Tab, Enter", "to the next field"],
          ["Shift Tab", "back"],
          ["Ctrl S", "save"],
          ["Ctrl Enter", "save and next"],
        ],
      },
    ],
    close: "Close",
  },
  common: { cancel: "Cancel", close: "Close", loading: "One moment …", retry: "Try again", save: "Save", more: "More" },
};
