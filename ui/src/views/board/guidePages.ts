/** The pages of the guide, by the stage of the board that they explain. */
export const guidePages: { [stage: string]: string } = {
  default: "default",
  mask: "mask",
  tidy: "clean-up",
  fill: "fill",
  calculate: "calculated-field",
  number: "auto-number",
  validate: "validations",
  log: "stamp",
};
