import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { carriedOf, forgetDraft, keepCarried, keepDraft, keptDraft } from "../src/components/record/draftStorage";
import { forgetAll, ownedBy, unsavedHere } from "../src/components/record/tabs";
import { lasting, ofTab, readJson } from "../src/storage";

beforeEach(() => {
  localStorage.clear();
  ownedBy(1);
});
afterEach(() => vi.restoreAllMocks());

/** A browser that keeps nothing, as in a private window or with a full disk. */
const forbidden = () => {
  for (const store of ["localStorage", "sessionStorage"] as const)
    vi.spyOn(window, store, "get").mockImplementation(() => {
      throw new DOMException("SecurityError");
    });
};

describe("what the browser keeps", () => {
  it("is told whether it is kept, and is no failure where it can't be", () => {
    expect(lasting.set("a", "1")).toBe(true);
    expect(lasting.get("a")).toBe("1");
    lasting.set("a", null);
    expect(lasting.names()).toEqual([]);
    forbidden();
    expect(ofTab.set("a", "1")).toBe(false);
    expect(ofTab.get("a")).toBeNull();
  });

  it.each([
    ["{", null],
    ["null", null],
    ['{"a":1}', { a: 1 }],
    [null, null],
  ])("reads %j as %j", (text, value) => {
    expect(readJson({ get: () => text }, "any")).toEqual(value);
  });
});

describe("a draft of a record", () => {
  const draft = { typed: { piece: "Mug" }, version: 3 };

  it("is there again after the page was left, for the same person and record alone", () => {
    keepDraft("pieces", 7, draft);
    expect(keptDraft("pieces", 7)).toEqual(draft);
    expect(keptDraft("pieces", 8)).toBeNull();
    ownedBy(2);
    expect(keptDraft("pieces", 7)).toBeNull();
  });

  it("is gone when it is saved, or when nothing is left of it", () => {
    keepDraft("pieces", 7, draft);
    forgetDraft("pieces", 7);
    expect(keptDraft("pieces", 7)).toBeNull();
    keepDraft("pieces", 7, draft);
    keepDraft("pieces", 7, { typed: {}, version: 3 });
    expect(keptDraft("pieces", 7)).toBeNull();
  });

  it("that can't be read is none, and loses no other", () => {
    keepDraft("pieces", 7, draft);
    for (const name of lasting.names().filter((each) => each.includes("draft"))) lasting.set(name, "{half");
    expect(keptDraft("pieces", 7)).toBeNull();
    keepCarried("pieces", "m1", { maker: 2 });
    expect(carriedOf("pieces", "m1")).toEqual({ maker: 2 });
  });

  it("is counted before somebody signs out, and deleted then", () => {
    keepDraft("pieces", 7, draft);
    localStorage.setItem("up-tack-theme", "lamplight");
    expect(unsavedHere()).toBe(1);
    forgetAll();
    expect(unsavedHere()).toBe(0);
    expect(lasting.get("up-tack-theme")).toBe("lamplight");
  });
});
