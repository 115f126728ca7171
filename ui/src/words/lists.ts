import { t } from "./catalogue";

type Line = readonly [string, string];

/** Keys of the board, with what each does. */
export const boardKeys = (): Line[] => [
  [t("board.keys.arrows"), t("board.keys.move")],
  ["Enter", t("board.keys.open")],
  ["Alt ↑ ↓", t("board.keys.moveField")],
  ["Del", t("board.keys.delete")],
  ["Ctrl Z", t("board.keys.undo")],
];

/** Keys of the form designer. */
export const designerKeys = (): Line[] => [
  ["Alt ↑ ↓", t("designer.keys.move")],
  ["Alt ← →", t("designer.keys.width")],
  ["Del", t("designer.keys.remove")],
];

/** All keys, by where they work. */
export const keyGroups = (): { name: string; keys: Line[] }[] => [
  {
    name: t("keys.everywhere.name"),
    keys: [
      ["Ctrl K", t("keys.everywhere.find")],
      ["?", t("keys.everywhere.list")],
      ["Ctrl Z", t("keys.everywhere.undo")],
      ["Ctrl Shift Z", t("keys.everywhere.redo")],
      ["Esc", t("keys.everywhere.close")],
    ],
  },
  {
    name: t("keys.board.name"),
    keys: [
      ["← ↑ → ↓", t("keys.board.tacks")],
      ["Enter", t("keys.board.open")],
      ["Alt ↑ ↓", t("keys.board.move")],
      ["Del", t("keys.board.delete")],
      ["Ins", t("keys.board.add")],
      ["Ctrl Enter", t("keys.board.save")],
    ],
  },
  {
    name: t("keys.records.name"),
    keys: [
      ["← ↑ → ↓", t("keys.records.cells")],
      [t("keys.records.typeKeys"), t("keys.records.type")],
      ["Tab", t("keys.records.tab")],
      ["Esc", t("keys.records.giveUp")],
      ["Del", t("keys.records.clear")],
      ["Ctrl C, Ctrl X, Ctrl V", t("keys.records.copy")],
      ["Ctrl D, Ctrl R", t("keys.records.fill")],
      ["Ctrl F", t("keys.records.find")],
      ["Ctrl Z, Ctrl Y", t("keys.records.undo")],
      [t("keys.records.selectKeys"), t("keys.records.select")],
      ["Ctrl Enter", t("keys.records.open")],
    ],
  },
  {
    name: t("keys.form.name"),
    keys: [
      ["Ins", t("keys.form.create")],
      ["Tab, Enter", t("keys.form.next")],
      ["Shift Tab", t("keys.form.back")],
      ["Ctrl S", t("keys.form.save")],
      ["Ctrl Enter", t("keys.form.saveNext")],
    ],
  },
];

/** The language of formulas, a line each: how it is written, and what it is. */
export const languageLines = (): Line[] => [
  ["wet_weight - tare", t("language.lines.fields")],
  ["maker.name, maker.title.text", t("language.lines.links")],
  ["old.stage, changed(stage), is_new", t("language.lines.old")],
  ["user.name, user.email, user.role", t("language.lines.user")],
  ['12.50  "text"  yes  no  blank', t("language.lines.literals")],
  ["+  -  *  /  mod  ^", t("language.lines.sums")],
  ["&", t("language.lines.join")],
  ["=  <>  <  <=  >  >=", t("language.lines.comparisons")],
  ["and, or, not", t("language.lines.conditions")],
  ["if … then … else …", t("language.lines.if")],
  ['count(pieces where stage = "Drying")', t("language.lines.totals")],
  ["-- a remark", t("language.lines.remark")],
];

/** How a firm writes days, decimals and thousands: the sign, and what it is called. */
export const dateOrders = (): Line[] => [
  ["dmy", t("writing.orders.dmy")],
  ["mdy", t("writing.orders.mdy")],
  ["ymd", t("writing.orders.ymd")],
];

export const decimalMarks = (): Line[] => [
  [".", t("writing.decimals.point")],
  [",", t("writing.decimals.comma")],
];

export const groupMarks = (): Line[] => [
  [",", t("writing.groups.comma")],
  [".", t("writing.groups.point")],
  [" ", t("writing.groups.space")],
];

/** Days of the week, from Monday. */
export const weekdays = (): string[] => [
  t("tidyReview.days.monday"),
  t("tidyReview.days.tuesday"),
  t("tidyReview.days.wednesday"),
  t("tidyReview.days.thursday"),
  t("tidyReview.days.friday"),
  t("tidyReview.days.saturday"),
  t("tidyReview.days.sunday"),
];
