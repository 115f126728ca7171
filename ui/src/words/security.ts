/** Words for sessions, the security log, the password asked again, and the end of the demo. */
export const securityWords = {
  security: {
    again: "Type your password again",
    againWhy: "This is asked before roles, tokens and backups are changed, in case somebody else sits at your browser.",
    goOn: "Continue",
    sessions: "Signed in",
    since: (day: string) => `since ${day}`,
    used: (day: string) => `last used ${day}`,
    here: "here",
    end: "End",
    endOf: (name: string, device: string) => `End the session of ${name} in ${device}`,
    ended: "The session has ended.",
    endOthers: "End all my other sessions",
    othersEnded: "Your other sessions have ended.",
    log: "Security log",
    logAim: "Who signed in, who was refused, and what was done to people, tokens and backups. It can only be added to.",
    nothing: "Nothing has happened yet.",
    older: "Show older",
    demoRuns:
      "The demo is running: on this computer its people sign in with one click. End it before you work with real " +
      "records.",
    endDemo: "End the demo",
    endDemoAsk: "End the demo?",
    endDemoText:
      "The demo's people who have no password become inactive. All records and rules stay. From then on " +
      "everybody signs in with a password.",
    demoEnded: (n: number) => `The demo has ended. ${n === 1 ? "1 person is" : `${n} people are`} inactive now.`,
    passwordFirst: "Set a password of your own first. After the demo nobody signs in without one.",
    anonymise: "Delete the name…",
    anonymiseOf: (name: string) => `Delete the name of ${name}`,
    anonymiseAsk: (name: string) => `Delete the name of ${name} for good?`,
    anonymiseText: (id: number) =>
      `History, the design's history and values that rules wrote show “Person ${id}” instead. What this person ` +
      `did stays, and so do texts that somebody typed. Backups keep the name until they are deleted. This ` +
      `can't be undone.`,
    anonymiseDo: "Delete the name",
    anonymised: (name: string) => `${name} is all that is left of the name.`,
    code: "Code from the terminal",
    codeHint: "The window in which Up Tack was started shows it.",
  },
};
