import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { usedIn } from "../scripts/messages";
import all from "../src/words/messages.generated.json";

const FOLDER = join(import.meta.dirname, "../src");
const keys = (code: string) => Object.keys(usedIn(code, all));

describe("the messages of a module", () => {
  it("are those that it names, in every form of the plural, and those that a gap may complete", () => {
    expect(keys('x ? t("space.title") : t("care.title") + "care.nothing"')).toEqual(["space.title", "care.title"]);
    expect(keys('t("overview.records", { count })')).toEqual(["overview.records_one", "overview.records_other"]);
    for (const key of Object.keys(all).filter((each) => /_(zero|one|other)$/.test(each)))
      expect(keys(`t("${key.replace(/_(zero|one|other)$/, "")}")`)).toContain(key);
    const roles = Object.keys(all).filter((key) => key.startsWith("people.roles."));
    expect(keys(["word(`people.roles.$", "{role}`)"].join(""))).toEqual(roles);
    expect(keys('group("people.roles")')).toEqual(roles);
  });

  it("are all of them: each message of the catalogue is given to some module", () => {
    const files = readdirSync(FOLDER, { recursive: true, encoding: "utf8" }).filter((file) => /\.tsx?$/.test(file));
    const given = new Set(files.flatMap((file) => keys(readFileSync(join(FOLDER, file), "utf8"))));
    expect(Object.keys(all).filter((key) => !given.has(key))).toEqual([]);
  });
});
