/**
 * A block of cells as spreadsheets put it into the clipboard: columns divided by tabs, rows by line
 * ends, and in quotes what holds one of those itself.
 */
export function readBlock(text: string): string[][] {
  const rows: string[][] = [[]];
  let cell = "";
  let quoted = false;
  let begun = false;
  const end = () => {
    rows.at(-1)?.push(cell);
    cell = "";
    begun = false;
  };
  for (let at = 0; at < text.length; at++) {
    const sign = text[at];
    if (quoted) {
      if (sign !== '"') cell += sign;
      else if (text[at + 1] === '"') {
        cell += '"';
        at++;
      } else quoted = false;
    } else if (sign === '"' && !begun && closes(text, at)) quoted = begun = true;
    else if (sign === "\t") end();
    else if (sign === "\n" || sign === "\r") {
      if (sign === "\r" && text[at + 1] === "\n") at++;
      end();
      rows.push([]);
    } else {
      cell += sign;
      begun = true;
    }
  }
  end();
  // What was copied ends with a line end.
  const last = rows.at(-1);
  if (rows.length > 1 && last?.length === 1 && last[0] === "") rows.pop();
  return rows;
}

/** Whether a quote opens a quoted cell: one that is never closed is just a sign, as in 5". */
function closes(text: string, from: number): boolean {
  for (let at = from + 1; at < text.length; at++) {
    if (text[at] !== '"') continue;
    if (text[at + 1] === '"') at++;
    else return at + 1 === text.length || "\t\r\n".includes(text[at + 1] ?? "");
  }
  return false;
}

/** Puts a text into the clipboard later than the key that asked for it; also where a page is not served safely. */
export function toClipboard(text: string) {
  const give = (event: ClipboardEvent) => {
    event.stopImmediatePropagation();
    event.preventDefault();
    event.clipboardData?.setData("text/plain", text);
  };
  document.addEventListener("copy", give, { capture: true, once: true });
  const given = document.execCommand("copy");
  document.removeEventListener("copy", give, { capture: true });
  return given ? Promise.resolve() : navigator.clipboard.writeText(text);
}

export const writeBlock = (rows: string[][]): string =>
  rows
    .map((row) => row.map((cell) => (/["\t\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell)).join("\t"))
    .join("\n");
