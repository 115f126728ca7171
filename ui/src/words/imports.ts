/** The interface's own words for files in and out. */
export const importsWords = {
  imports: {
    link: "Import",
    title: (table: string) => `Bring records into ${table}`,
    newTitle: "A new table from a file",
    newLink: "Table from a file",
    aim: "Nothing is saved before you have seen what the rules make of it.",
    drop: "Drop a file here",
    or: "or pick one",
    formats: "CSV, XLSX, ODS, JSON or JSON Lines, of any size up to 1 GB",
    sending: (percent: number) => `Bringing it in: ${percent} %`,
    another: "Another file",
    told: (format: string, rows: number, about: boolean) =>
      `${format.toUpperCase()}, ${rows === 1 ? "1 row" : `${about ? "about " : ""}${rows.toLocaleString("en")} rows`}`,
    encoding: (name: string) => `written in ${name}`,
    divided: {
      ",": "divided by commas",
      ";": "divided by semicolons",
      "\t": "divided by tabs",
      "|": "divided by bars",
    } as Record<string, string>,
    sheet: "Sheet",
    column: "Column of the file",
    shows: "What it shows",
    field: "Field",
    leftOut: "left out",
    readAs: "Read as",
    orders: { dmy: "day, month, year", mdy: "month, day, year", ymd: "year, month, day" } as Record<string, string>,
    marks: { ".": "1,234.56", ",": "1.234,56" } as Record<string, string>,
    filled: (filled: number, blank: number) =>
      blank === 0 ? "always filled" : `${blank.toLocaleString("en")} of ${(filled + blank).toLocaleString("en")} blank`,
    match: "Records that are there",
    matchNone: "Every row is a new record",
    matchBy: (label: string) => `Rows with a known ${label} change that record`,
    blanks: "Blank cells",
    blanksLeft: "are left to the rules, and to what is there",
    blanksKept: "stay blank",
    tryIt: "Try it on the rules",
    tryAgain: "Try it again",
    tried: (made: number, changed: number, unchanged: number, refused: number) =>
      [
        made > 0 && `${made.toLocaleString("en")} new`,
        changed > 0 && `${changed.toLocaleString("en")} changed`,
        unchanged > 0 && `${unchanged.toLocaleString("en")} as they are`,
        refused > 0 && `${refused.toLocaleString("en")} refused`,
      ]
        .filter(Boolean)
        .join(" · ") || "nothing to do",
    would: "Nothing has been saved yet. It would be:",
    was: "Saved. It was:",
    row: (n: number) => `row ${n.toLocaleString("en")}`,
    byRule: "Refused by",
    unreadable: "a value that can't be read, or a link that finds none or several",
    rows: "Rows that are refused",
    samples: (refused: number) => (refused > 0 ? "What the rules make of the others" : "What the rules make of them"),
    saveAll: (n: number) => (n === 1 ? "Save it" : `Save all ${n.toLocaleString("en")}`),
    savePassing: (n: number) => (n === 1 ? "Save the 1 that passes" : `Save the ${n.toLocaleString("en")} that pass`),
    getRefused: "The refused rows as a file",
    mend: "Mend them there and bring the file in again; the column “Up Tack says” is passed over.",
    oneEntry: "All of it is one entry in History and can be taken back as one.",
    takeBack: "Take it all back",
    toRecords: "To the records",
    done: (n: number) => (n === 1 ? "1 record saved." : `${n.toLocaleString("en")} records saved.`),
    tableName: "Name of the table",
    type: "Type",
    rules: "Rules that all its values keep to",
    noRules: "none seen",
    make: "Make the table",
    makeNote: "Fields and rules can be changed at any time. The records come in next.",
  },
  exports: {
    link: "Export",
    shown: (records: number, columns: number) =>
      `What the grid shows: ${records.toLocaleString("en")} ${records === 1 ? "record" : "records"}, ${columns} ` +
      `${columns === 1 ? "column" : "columns"}`,
    whole: (records: number, columns: number) =>
      `The whole table: ${records.toLocaleString("en")} ${records === 1 ? "record" : "records"}, ${columns} ` +
      `${columns === 1 ? "column" : "columns"}`,
    formats: { csv: "CSV", xlsx: "XLSX", json: "JSON", jsonl: "JSON Lines" },
    schema: "What a record looks like, as JSON Schema",
    note:
      "Texts that a spreadsheet would take for formulas get a ' before them; it goes again when the file " +
      "comes back.",
    all: "All tables with their records",
    allAim: "For other programs. The rules go along as far as each format can say them.",
    sql: "SQL",
    sqlite: "SQLite file",
    package: "Data package",
  },
};
