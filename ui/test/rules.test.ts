import { describe, expect, it } from "vitest";
import type { Answer, Form, RuleKind } from "../src/api/client";
import { queryKeys } from "../src/api/queryKeys";
import { firstRefused } from "../src/components/record/focusFirst";
import { linesToSend } from "../src/components/record/lines";
import { beginning, isBegun } from "../src/views/board/parts/shared";
import { readSort, sortedBy, writeSort } from "../src/views/records/sorting";

const kind = (parts: Partial<RuleKind>) =>
  ({ kind: "any", needs: [], begins: {}, parts: [], ...parts }) as unknown as RuleKind;

describe("a rule that is written", () => {
  it("begins with what its kind says, on its field, and keeps what kinds have in common", () => {
    const fill = kind({ begins: { event: "changed", sets: [{ field: "$field", to: "" }] } });
    const before = { kind: "check", field: "glaze", name: "Mine", formula: "a > 1" };
    expect(beginning(fill, "glaze", before)).toMatchObject({
      name: "Mine",
      event: "changed",
      sets: [{ field: "glaze", to: "" }],
    });
    expect(beginning(fill, "glaze", before)).not.toHaveProperty("formula");
  });

  it("is looked at once one part of each list that it needs is there", () => {
    const limits = kind({ needs: [["low", "high"], ["to"]] });
    expect(isBegun(limits, { kind: "any", field: "a", low: "1" })).toBe(false);
    const stamp = kind({
      needs: [["when"]],
      parts: [{ key: "when", only: { event: "reached" } }] as unknown as RuleKind["parts"],
    });
    expect(isBegun(stamp, { kind: "stamp", field: "a", event: "made" })).toBe(true);
    expect(isBegun(stamp, { kind: "stamp", field: "a", event: "reached", when: "" })).toBe(false);
    const fill = kind({ needs: [["sets"]] });
    expect(isBegun(fill, { kind: "fill", field: "a", sets: [{ field: "a", to: "" }] })).toBe(false);
    expect(isBegun(fill, { kind: "fill", field: "a", sets: [{ field: "a", to: "1" }] })).toBe(true);
  });
});

describe("a refused record", () => {
  it("puts the cursor into the first field of the form that has a message, or to the reason of a warning", () => {
    document.body.innerHTML = `
      <div data-field-box><input id="input-tag" data-input></div>
      <div data-field-box><input id="input-peak" data-input><input data-reason id="reason"></div>`;
    const form = { stops: ["gone", "tag", "peak"] } as unknown as Form;
    const answer = (messages: [string, boolean][]) =>
      ({ messages: messages.map(([field, passable]) => ({ field, passable })) }) as unknown as Answer;
    expect(
      firstRefused(
        form,
        answer([
          ["peak", false],
          ["tag", false],
        ]),
      )?.id,
    ).toBe("input-tag");
    expect(firstRefused(form, answer([["peak", true]]))?.id).toBe("reason");
    expect(
      firstRefused(
        form,
        answer([
          ["peak", true],
          ["peak", false],
        ]),
      )?.id,
    ).toBe("input-peak");
    expect(firstRefused(form, answer([["gone", false]]))).toBeNull();
  });

  it("sends the lines that were typed or are there, and no empty new one", () => {
    const line = (id: number | null, typed: object) => ({ key: "k", id, version: null, typed, gone: false }) as never;
    const sent = linesToSend({ "order_lines.order": [line(null, {}), line(4, {}), line(null, { piece: 1 })] });
    expect(sent).toMatchObject([{ table: "order_lines", link: "order", rows: [{ id: 4 }, { typed: { piece: 1 } }] }]);
  });
});

describe("sorting by heads", () => {
  it("goes up, down and off, alone or after the others, and is the same in an address", () => {
    const up = sortedBy([], "maker", false);
    const down = sortedBy(up, "maker", false);
    expect([writeSort(up), writeSort(down), writeSort(sortedBy(down, "maker", false))]).toEqual([
      "maker",
      "-maker",
      "",
    ]);
    const both = sortedBy(down, "peak", true);
    expect(writeSort(both)).toBe("-maker,peak");
    expect(readSort(writeSort(both))).toEqual(both);
    expect(writeSort(sortedBy(both, "maker", true))).toBe("peak");
  });
});

it("names each question otherwise, so that no answer stands in the place of another", () => {
  const names = Object.values(queryKeys).map((make) =>
    JSON.stringify((make as (...parts: string[]) => unknown)("a", "b", "c", "d")),
  );
  expect(new Set(names).size).toBe(names.length);
});
