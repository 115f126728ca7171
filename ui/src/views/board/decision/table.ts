import type { RuleParts, Table } from "../../../api/client";

/** A decision table while it is written: columns of inputs first, then those of outputs. */
export type Decision = { inputs: string[]; outputs: string[]; rows: string[][] };

export type Parsed = {
  columns: { head: string | null; field: string | null; output: boolean | null }[];
  rows: string[][];
  notes: string[];
};

export const decisionOf = (parts: RuleParts): Decision => ({
  inputs: parts.inputs ?? [],
  outputs: parts.outputs ?? [],
  rows: parts.rows ?? [],
});

export const width = (decision: Decision) => decision.inputs.length + decision.outputs.length;

/** The rows, each as wide as there are columns. */
const padded = (decision: Decision) =>
  decision.rows.map((row) => Array.from({ length: width(decision) }, (_, at) => row[at] ?? ""));

export function withInput(decision: Decision, formula: string): Decision {
  const at = decision.inputs.length;
  const rows = padded(decision).map((row) => [...row.slice(0, at), "", ...row.slice(at)]);
  return { ...decision, inputs: [...decision.inputs, formula], rows };
}

export const withOutput = (decision: Decision, key: string): Decision => ({
  ...decision,
  outputs: [...decision.outputs, key],
  rows: padded(decision).map((row) => [...row, ""]),
});

export function withoutColumn(decision: Decision, column: number): Decision {
  const rows = padded(decision).map((row) => row.filter((_, at) => at !== column));
  const inputs = decision.inputs.filter((_, at) => at !== column);
  const outputs = decision.outputs.filter((_, at) => at !== column - decision.inputs.length);
  return { inputs, outputs, rows };
}

/** The column on the other side: what was looked at is set, or the other way round. */
export function turned(decision: Decision, column: number): Decision {
  const isInput = column < decision.inputs.length;
  const name = isInput ? decision.inputs[column] : decision.outputs[column - decision.inputs.length];
  const values = padded(decision).map((row) => row[column] ?? "");
  const rest = withoutColumn(decision, column);
  if (name === undefined) return decision;
  if (isInput) {
    return {
      ...rest,
      outputs: [...rest.outputs, name],
      rows: rest.rows.map((row, at) => [...row, values[at] ?? ""]),
    };
  }
  const place = rest.inputs.length;
  return {
    ...rest,
    inputs: [...rest.inputs, name],
    rows: rest.rows.map((row, at) => [...row.slice(0, place), values[at] ?? "", ...row.slice(place)]),
  };
}

export const withFormula = (decision: Decision, column: number, formula: string): Decision => ({
  ...decision,
  inputs: decision.inputs.map((each, at) => (at === column ? formula : each)),
});

export function withCell(decision: Decision, row: number, column: number, text: string): Decision {
  return {
    ...decision,
    rows: padded(decision).map((cells, at) =>
      at === row ? cells.map((cell, place) => (place === column ? text : cell)) : cells,
    ),
  };
}

export const withRow = (decision: Decision): Decision => ({
  ...decision,
  rows: [...padded(decision), Array.from({ length: width(decision) }, () => "")],
});

export const withoutRow = (decision: Decision, row: number): Decision => ({
  ...decision,
  rows: decision.rows.filter((_, at) => at !== row),
});

export function moved(decision: Decision, row: number, by: number): Decision {
  const rows = [...decision.rows];
  const [taken] = rows.splice(row, 1);
  if (taken && row + by >= 0 && row + by <= rows.length) rows.splice(row + by, 0, taken);
  return rows.length === decision.rows.length ? { ...decision, rows } : decision;
}

/** A block laid over the cells from one on; rows are added as far as it needs. Null when it is too wide. */
export function laidOver(decision: Decision, row: number, column: number, block: string[][]): Decision | null {
  if (Math.max(...block.map((cells) => cells.length)) > width(decision) - column) return null;
  let next = { ...decision, rows: padded(decision) };
  while (next.rows.length < row + block.length) next = withRow(next);
  const rows = next.rows.map((cells, at) => cells.map((cell, place) => block[at - row]?.[place - column] ?? cell));
  return { ...next, rows };
}

/**
 * The table that a block with a head line makes. A column is set when its head says so or it was
 * set before; in a new table the first, and those that compare, are looked at and the others are set.
 * A head that names no field stays as the column's formula, where its mistake is told.
 */
export function fromHeaded(before: Decision, parsed: Parsed, table: Table): Decision {
  const told = parsed.columns.some((column) => column.output !== null);
  const fresh = before.rows.length === 0 && !told;
  // Several values, ranges and comparisons are looked at; nothing can be set to them.
  const compares = (at: number) => parsed.rows.some((row) => /;|\.\.|^\s*[<>=]/.test(row[at] ?? ""));
  const settable = (key: string | null) => table.fields.some((field) => field.key === key && !field.given);
  const isOutput = parsed.columns.map((column, at) =>
    told
      ? column.output === true
      : fresh
        ? at > 0 && settable(column.field) && !compares(at)
        : column.field !== null && before.outputs.includes(column.field),
  );
  const places = parsed.columns.map((_, at) => at);
  const order = [...places.filter((at) => !isOutput[at]), ...places.filter((at) => isOutput[at])];
  const name = (at: number) => parsed.columns[at]?.field ?? parsed.columns[at]?.head ?? "";
  return {
    inputs: places.filter((at) => !isOutput[at]).map(name),
    outputs: places.filter((at) => isOutput[at]).map(name),
    rows: parsed.rows.map((row) => order.map((at) => row[at] ?? "")),
  };
}

const folded = (text: string) => text.trim().normalize("NFC").toLowerCase();

/** Texts in cells with a mistake that are no choice of the field that their column is about, by its key. */
export function unknownChoices(decision: Decision, table: Table, faults: Map<string, string>): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const place of faults.keys()) {
    const [row = 0, column = 0] = place.split(".").map(Number);
    const isInput = column < decision.inputs.length;
    const key = isInput ? decision.inputs[column] : decision.outputs[column - decision.inputs.length];
    const field = table.fields.find((each) => each.key === key && each.editor === "choice");
    if (!field) continue;
    const cell = decision.rows[row]?.[column] ?? "";
    const texts = (isInput ? cell.split(";") : [cell]).map((text) =>
      text
        .trim()
        .replace(/^(<>|=)\s*/, "")
        .replace(/^"(.*)"$/, "$1"),
    );
    for (const text of texts) {
      const known = [...field.choices, ...(found.get(field.key) ?? []), "", ...(isInput ? ["blank"] : [])];
      if (!known.some((each) => folded(each) === folded(text)))
        found.set(field.key, [...(found.get(field.key) ?? []), text]);
    }
  }
  return found;
}
