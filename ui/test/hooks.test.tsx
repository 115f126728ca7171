import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { bindings, useShortcuts } from "../src/app/useShortcuts";
import { useEdit } from "../src/components/edits";
import { useAfterPause } from "../src/components/useAfterPause";
import { useDebounced } from "../src/components/useDebounced";

beforeEach(() => localStorage.clear());
afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

describe("useDebounced", () => {
  it("gives what was written once nobody writes on, and each letter of it", () => {
    vi.useFakeTimers();
    const { result, rerender } = renderHook(({ text }) => useDebounced(text, 100), { initialProps: { text: "" } });
    for (const text of ["k", "ki", "kil", "kiln"]) {
      rerender({ text });
      act(() => vi.advanceTimersByTime(60));
      expect(result.current).toBe("");
    }
    act(() => vi.advanceTimersByTime(100));
    expect(result.current).toBe("kiln");
  });

  it("takes an object that says the same for no change", () => {
    vi.useFakeTimers();
    const { result, rerender } = renderHook(({ value }) => useDebounced(value, 100), {
      initialProps: { value: { mask: "a" } },
    });
    rerender({ value: { mask: "b" } });
    act(() => vi.advanceTimersByTime(60));
    rerender({ value: { mask: "b" } });
    act(() => vi.advanceTimersByTime(60));
    expect(result.current).toEqual({ mask: "b" });
  });
});

describe("useAfterPause", () => {
  it("works once for the last of several changes, with what stands there then", () => {
    vi.useFakeTimers();
    const done: string[] = [];
    const initialProps = { text: "a" };
    const { rerender } = renderHook(({ text }) => useAfterPause(() => done.push(text), 100, text), { initialProps });
    vi.advanceTimersByTime(60);
    rerender({ text: "ab" });
    vi.advanceTimersByTime(60);
    expect(done).toEqual([]);
    vi.advanceTimersByTime(60);
    rerender({ text: "ab" });
    vi.advanceTimersByTime(500);
    expect(done).toEqual(["ab"]);
  });

  it("aborts what is under way when something changes, or there is nothing to do any more", () => {
    vi.useFakeTimers();
    const signals: AbortSignal[] = [];
    const { rerender } = renderHook(
      ({ on, idle }) => useAfterPause(idle ? null : (signal) => signals.push(signal), 10, on),
      { initialProps: { on: "a", idle: false } },
    );
    vi.advanceTimersByTime(20);
    rerender({ on: "b", idle: false });
    vi.advanceTimersByTime(20);
    rerender({ on: "b", idle: true });
    expect(signals.map((signal) => signal.aborted)).toEqual([true, true]);
  });
});

describe("useEdit", () => {
  it("has what is half written again, until it is saved", () => {
    const first = renderHook(() => useEdit("t1/rule/r1", { name: "a" }));
    act(() => first.result.current.change({ name: "b" }));
    first.unmount();
    const second = renderHook(() => useEdit("t1/rule/r1", { name: "a" }));
    expect(second.result.current).toMatchObject({ value: { name: "b" }, dirty: true, found: true, overtaken: false });
    act(() => second.result.current.done());
    second.unmount();
    expect(renderHook(() => useEdit("t1/rule/r1", { name: "a" })).result.current.found).toBe(false);
  });

  it("says when what it changes was changed by somebody else meanwhile", () => {
    const first = renderHook(() => useEdit("t1/rule/r1", { name: "a" }));
    act(() => first.result.current.change({ name: "b" }));
    first.unmount();
    const second = renderHook(() => useEdit("t1/rule/r1", { name: "c" }));
    expect(second.result.current).toMatchObject({ value: { name: "b" }, overtaken: true });
  });

  it("keeps it in the page where the browser keeps nothing, and takes changes one after the other", () => {
    vi.spyOn(window, "localStorage", "get").mockImplementation(() => {
      throw new DOMException("SecurityError");
    });
    const first = renderHook(() => useEdit("t1/add", { count: 0 }));
    act(() => {
      for (let turn = 0; turn < 3; turn++) first.result.current.change((now) => ({ count: now.count + 1 }));
    });
    first.unmount();
    expect(renderHook(() => useEdit("t1/add", { count: 0 })).result.current.value).toEqual({ count: 3 });
  });
});

describe("useShortcuts", () => {
  const press = (init: KeyboardEventInit) =>
    window.dispatchEvent(new KeyboardEvent("keydown", { bubbles: true, cancelable: true, ...init }));

  it("hears Ctrl and Command alike, and no other key with them", () => {
    const done = vi.fn();
    renderHook(() => useShortcuts({ "mod+s": done }));
    press({ key: "s", ctrlKey: true });
    press({ key: "s", metaKey: true });
    press({ key: "s" });
    press({ key: "s", ctrlKey: true, altKey: true });
    expect(done).toHaveBeenCalledTimes(2);
    expect(bindings("F2")).toEqual(["F2"]);
  });

  it("hears a key that a list has taken as well, and calls what is there by now", () => {
    const [before, after] = [vi.fn(), vi.fn()];
    const { rerender, unmount } = renderHook(({ work }) => useShortcuts({ F2: work }), {
      initialProps: { work: before },
    });
    rerender({ work: after });
    press({ key: "F2" });
    const handled = new KeyboardEvent("keydown", { key: "F2", cancelable: true });
    handled.preventDefault();
    window.dispatchEvent(handled);
    unmount();
    press({ key: "F2" });
    expect(before).not.toHaveBeenCalled();
    expect(after).toHaveBeenCalledTimes(2);
  });
});
