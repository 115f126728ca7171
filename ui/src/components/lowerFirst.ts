/** "Link to Members" within a sentence: "link to Members". */
export const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
