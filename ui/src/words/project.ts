/** The interface's own words for the project file and the rule sheet. */
export const projectWords = {
  project: {
    name: "Project file",
    title: "The design as a file",
    aim:
      "All tables, fields, rules, forms, lists and proofs, and people with their roles, as one readable text. " +
      "No records and no passwords are in it.",
    out: "Take it out",
    in: "Bring one in …",
    of: (name: string) => `What ${name} would do here`,
    refused: (n: number) =>
      n === 1 ? "Nothing was brought in: one thing is wrong." : `Nothing was brought in: ${n} things are wrong.`,
    same: "Nothing would become different: everything in it is here already.",
    counts: (added: number, changed: number) =>
      `It would add ${added} ${added === 1 ? "thing" : "things"} and change ${changed}. Nothing is taken away; ` +
      `the firm's time zone and ways of writing stay. One undo takes all of it back.`,
    loses: (n: number, field: string) =>
      `${n} ${n === 1 ? "value" : "values"} of ${field} can't be kept in the new type.`,
    people: (names: string) => `New people, who can sign in once they are given a password: ${names}.`,
    changes: "changes",
    adds: "adds",
    bringIn: "Bring it in",
    done: (name: string) => `Brought in: ${name}`,
  },
};
