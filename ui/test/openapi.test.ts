// @vitest-environment node
import { createConfig, lint } from "@redocly/openapi-core";
import { expect, test } from "vitest";

// The document from which clients are made: security, answers to what is refused, tags and the rest.
test("the API's document has nothing that a linter would find", async () => {
  const config = await createConfig({ extends: ["recommended"], rules: { "operation-singular-tag": "error" } });
  const found = await lint({ ref: new URL("../../web/openapi.yaml", import.meta.url).pathname, config });
  expect(found.map((each) => `${each.ruleId}: ${each.message} ${each.location[0]?.pointer}`)).toEqual([]);
});
