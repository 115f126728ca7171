/** The tag of a language that is made up, after BCP 47: developers read in it what is not translated, or cut off. */
export const MADE_UP = "en-XA";

const PLAIN = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ";
const ODD = "áƀçďéƒğĥíĵķłɱñóþɋřšťúṽŵẋýžÁƁÇĎÉƑĞĤÍĴĶŁṀÑÓÞɊŘŠŤÚṼŴẊÝŽ";
const TWIN = new Map([...PLAIN].map((letter, place) => [letter, [...ODD][place] ?? letter]));

/** The same texts with every letter changed and every vowel doubled, so about a third longer; gaps stay. */
export const madeUp = (messages: { [key: string]: string }): { [key: string]: string } =>
  Object.fromEntries(Object.entries(messages).map(([key, text]) => [key, inOddLetters(text)]));

const inOddLetters = (text: string) =>
  text
    .split(/(%\{[^}]*\})/)
    .map((part) => (part.startsWith("%{") ? part : part.replace(/[a-zA-Z]/g, odd)))
    .join("");

const odd = (letter: string) => {
  const twin = TWIN.get(letter) ?? letter;
  return /[aeiou]/.test(letter) ? twin + twin : twin;
};
