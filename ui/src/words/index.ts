import { careWords } from "./care";
import { designWords } from "./design";
import { fillingWords } from "./filling";
import { formsWords } from "./forms";
import { formulasWords } from "./formulas";
import { gridWords } from "./grid";
import { importsWords } from "./imports";
import { loggingWords } from "./logging";
import { peopleWords } from "./people";
import { projectWords } from "./project";
import { proofsWords } from "./proofs";
import { recordsWords } from "./records";
import { rulesWords } from "./rules";
import { securityWords } from "./security";
import { shellWords } from "./shell";

/** The interface's own words, all in one place: a file for each part of it. */
export const words = {
  ...shellWords,
  ...designWords,
  ...rulesWords,
  ...formulasWords,
  ...recordsWords,
  ...gridWords,
  ...careWords,
  ...securityWords,
  ...importsWords,
  ...peopleWords,
  ...loggingWords,
  ...fillingWords,
  ...formsWords,
  ...proofsWords,
  ...projectWords,
};
