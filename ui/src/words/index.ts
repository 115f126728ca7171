import { designWords } from "./design";
import { fillingWords } from "./filling";
import { formsWords } from "./forms";
import { formulasWords } from "./formulas";
import { loggingWords } from "./logging";
import { peopleWords } from "./people";
import { recordsWords } from "./records";
import { rulesWords } from "./rules";
import { shellWords } from "./shell";

/** The interface's own words, all in one place: a file for each part of it. */
export const words = {
  ...shellWords,
  ...designWords,
  ...rulesWords,
  ...formulasWords,
  ...recordsWords,
  ...peopleWords,
  ...loggingWords,
  ...fillingWords,
  ...formsWords,
};
