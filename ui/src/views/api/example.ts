import type { Document, Schema } from "../../api/tokens";

/** How deep objects in objects are made up. */
const DEEPEST = 4;

/** What the document shows of a body, or something that its schema describes. */
export const exampleOfBody = (document: Document, media: { schema: Schema; example?: unknown }) =>
  media.example ?? exampleOf(document, media.schema);

/** Something that a schema describes, to begin with: what it requires, of objects without that all they may have. */
export function exampleOf(document: Document, schema: Schema | undefined, depth = 0): unknown {
  if (!schema || depth > DEEPEST) return null;
  if (schema.$ref) return exampleOf(document, document.components.schemas[lastPart(schema.$ref)], depth + 1);
  if (schema.enum) return schema.enum.find((each) => each !== null) ?? null;
  if (schema.anyOf) return exampleOf(document, schema.anyOf[0], depth + 1);
  const type = [schema.type ?? (schema.properties ? "object" : "string")].flat()[0];
  switch (type) {
    case "object": {
      const all = Object.entries(schema.properties ?? {});
      const wanted = all.filter(([name]) => schema.required?.includes(name));
      const shown = wanted.length > 0 ? wanted : all;
      return Object.fromEntries(shown.map(([name, each]) => [name, exampleOf(document, each, depth + 1)]));
    }
    case "array":
      return schema.items ? [exampleOf(document, schema.items, depth + 1)] : [];
    case "integer":
    case "number":
      return 1;
    case "boolean":
      return true;
    case "null":
      return null;
    default:
      return "text";
  }
}

const lastPart = (ref: string) => ref.split("/").pop() ?? "";

/** A text as one word of a shell (POSIX). */
const quoted = (text: string) => `'${text.replaceAll("'", "'\\''")}'`;

/** The same call from a shell, with a token in a variable. */
export function curlOf(method: string, url: string, type: string | null, body: string): string {
  const parts = ["curl", '-H "Authorization: Bearer $TOKEN"'];
  if (method !== "get") parts.push("-X", method.toUpperCase());
  if (type) parts.push("-H", quoted(`Content-Type: ${type}`));
  // A body that is no text is a file.
  if (type) parts.push(...(type.includes("json") ? ["-d", quoted(body)] : ["--data-binary", "@FILE"]));
  return [...parts, quoted(url)].join(" ");
}
