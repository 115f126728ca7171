// Written by bin/generate, from what the kinds of rule say of themselves.

/** Kinds of rule whose editor is one of their own; all others are edited by the parts that they declare. */
export type OwnEditorKind =
  | "default"
  | "mask"
  | "tidy"
  | "fill"
  | "decision"
  | "narrow"
  | "copy"
  | "calculation"
  | "check"
  | "required"
  | "limits"
  | "length"
  | "exists"
  | "lock"
  | "state"
  | "number"
  | "stamp"
  | "tally"
  | "line";
