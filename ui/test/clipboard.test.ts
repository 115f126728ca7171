import { describe, expect, it } from "vitest";
import { readBlock, writeBlock } from "../src/views/records/clipboard";
import { drawnTo, spread, turnOf } from "../src/views/records/spreading";
import { randomFrom } from "./random";

describe("a block of cells in the clipboard", () => {
  it("comes back as it was, whatever stands in its cells", () => {
    const random = randomFrom(7);
    for (let turn = 0; turn < 500; turn++) {
      const [rows, columns] = [1 + random.below(4), 1 + random.below(4)];
      const block = Array.from({ length: rows }, () =>
        Array.from({ length: columns }, () => random.text('ab"\t\n\r 5', 5)),
      );
      // A line end at the very end is the end of the last row, as programs write it.
      if (block.at(-1)?.join("") === "" && columns === 1) continue;
      expect(readBlock(writeBlock(block))).toEqual(block);
    }
  });

  it.each([
    [
      "one\ttwo\r\n3\t4\r\n",
      [
        ["one", "two"],
        ["3", "4"],
      ],
    ],
    ['a pot of 5"\tnext', [['a pot of 5"', "next"]]],
    ['5" wide\tnext', [['5" wide', "next"]]],
    ['"two\nlines"\tnext', [["two\nlines", "next"]]],
    ["", [[""]]],
  ])("is read as programs write it: %j", (text, cells) => {
    expect(readBlock(text)).toEqual(cells);
  });

  it("fills what it fits into several times, and comes once elsewhere", () => {
    const box = (bottom: number, right: number) => ({ top: 0, left: 0, bottom, right });
    expect(spread([["a"]], box(2, 1))).toMatchObject({ height: 3, width: 2 });
    expect(spread([["a", "b"]], box(1, 3))).toMatchObject({ height: 2, width: 4 });
    expect(spread([["a", "b"]], box(0, 2))).toMatchObject({ height: 1, width: 2 });
    expect(spread([["a", "b"]], box(1, 3)).at(1, 3)).toBe("b");
  });

  it("grows along the side that is further away, and repeats both ways", () => {
    const box = { top: 2, bottom: 3, left: 2, right: 3 };
    expect(drawnTo(box, 7, 4)).toEqual({ ...box, bottom: 7 });
    expect(drawnTo(box, 1, 9)).toEqual({ ...box, right: 9 });
    expect([-3, -2, -1, 0, 1, 2].map((distance) => turnOf(distance, 2))).toEqual([1, 0, 1, 0, 1, 0]);
  });
});
