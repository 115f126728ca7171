export { group, t, word } from "./catalogue";
export { sentences } from "./sentences";
