import { describe, expect, it } from "vitest";
import {
  type Decision,
  laidOver,
  moved,
  turned,
  width,
  withCell,
  withInput,
  withOutput,
  withoutColumn,
  withoutRow,
  withRow,
} from "../src/views/board/decision/table";
import { randomFrom } from "./random";

/** A table as a list of columns, each with its name, its side and its cells: what every change is held against. */
const columns = (table: Decision) =>
  [...table.inputs.map((name) => [name, "in"]), ...table.outputs.map((name) => [name, "out"])].map(([name, side], at) =>
    [name, side, ...table.rows.map((row) => row[at] ?? "")].join("|"),
  );

const sample = (seed: number): Decision => {
  const random = randomFrom(seed);
  const inputs = Array.from({ length: 1 + random.below(3) }, (_, at) => `i${at}`);
  const outputs = Array.from({ length: 1 + random.below(3) }, (_, at) => `o${at}`);
  const rows = Array.from({ length: random.below(5) }, () =>
    // Some rows are shorter than the table, as a file may have them.
    Array.from({ length: random.below(inputs.length + outputs.length + 1) }, () => random.text("xyz", 2)),
  );
  return { inputs, outputs, rows };
};

describe("a decision table that is written", () => {
  it("keeps every other column as it is when one is added, deleted or put on the other side", () => {
    for (let seed = 1; seed <= 300; seed++) {
      const table = sample(seed);
      const random = randomFrom(seed);
      const at = random.below(width(table));
      const [name, side] = (columns(table)[at] ?? "").split("|");
      const others = columns(table).filter((_, place) => place !== at);

      expect(columns(withoutColumn(table, at))).toEqual(others);
      const found = columns(turned(table, at));
      expect(found.filter((each) => others.includes(each))).toEqual(others);
      expect(found.some((each) => each.startsWith(`${name}|${side === "in" ? "out" : "in"}`))).toBe(true);
      expect(columns(withInput(table, "new")).filter((each) => !each.startsWith("new"))).toEqual(columns(table));
      expect(columns(withOutput(table, "new")).filter((each) => !each.startsWith("new"))).toEqual(columns(table));
    }
  });

  it("keeps every other row as it is when one is added, deleted, moved or written in", () => {
    for (let seed = 1; seed <= 300; seed++) {
      const table = sample(seed);
      if (table.rows.length === 0) continue;
      const row = randomFrom(seed).below(table.rows.length);
      const cells = (each: Decision) =>
        each.rows.map((some) => Array.from({ length: width(each) }, (_, at) => some[at] ?? ""));

      expect(cells(withoutRow(table, row))).toEqual(cells(table).filter((_, at) => at !== row));
      expect(cells(withRow(table)).slice(0, -1)).toEqual(cells(table));
      expect(cells(withCell(table, row, 0, "!"))[row]?.slice(1)).toEqual(cells(table)[row]?.slice(1));
      expect(cells(moved(moved(table, row, 1), row + 1, -1))).toEqual(cells(table));
      expect(
        cells(moved(table, row, -1))
          .map(String)
          .sort(),
      ).toEqual(cells(table).map(String).sort());
    }
  });

  it("takes a pasted block, with rows added for it, and none that is too wide", () => {
    const table = { inputs: ["a"], outputs: ["b"], rows: [["1", "2"]] };
    expect(laidOver(table, 0, 1, [["x"], ["y"]])?.rows).toEqual([
      ["1", "x"],
      ["", "y"],
    ]);
    expect(laidOver(table, 0, 1, [["x", "y"]])).toBeNull();
  });
});
