import createClient, { type Middleware } from "openapi-fetch";
import { t } from "../words";
import { basePath } from "./address";
import type { components, paths } from "./generated";
import { revalidated } from "./revalidated";
import { noticed } from "./waiting";

type Schemas = components["schemas"];
export type Session = Schemas["Session"];
export type TableLine = Schemas["TableLine"];
export type Table = Schemas["Table"];
export type Field = Schemas["Field"];
export type FieldType = Schemas["FieldType"];
export type FieldParts = Schemas["FieldParts"];
export type Stage = Schemas["Stage"];
export type Rule = Schemas["Rule"];
export type RuleKind = Schemas["RuleKind"];
/** A rule as it is sent: one of its kinds. */
export type SentRule = Schemas["RuleParts"];
type PartsOf<Union> = Union extends unknown ? keyof Union : never;
type ValueOf<Union, Part> = Union extends { [key in Part & string]?: infer Value } ? Value : never;
/** A written rule as the API takes it: the server says what is wrong with it, a foreign part included. */
export const asSent = (parts: RuleParts) => parts as SentRule;
/** A rule as it is written, half ready and perhaps of another kind in a moment: any part of any kind. */
export type RuleParts = { kind: string; field: string } & {
  [Part in Exclude<PartsOf<SentRule>, "kind" | "field">]?: ValueOf<SentRule, Part>;
};
export type Preview = Schemas["Preview"];
export type Mistake = Schemas["Mistake"];
export type RecordData = Schemas["Record"];
export type Answer = Schemas["Answer"];
export type Message = Schemas["Message"];
export type Step = Schemas["Step"];
export type Entry = Schemas["Entry"];
export type Revision = Schemas["Revision"];
export type Problem = Schemas["Problem"];
export type Scalar = Schemas["Scalar"];
export type Names = Schemas["Names"];
export type Pieces = Schemas["Pieces"];
export type Part = Schemas["Part"];
export type Test = Schemas["Test"];
export type TestValue = Schemas["TestValue"];
export type Job = Schemas["Job"];
export type Filter = Schemas["Filter"];
export type Column = Schemas["Column"];
export type RuleNotice = Schemas["RuleNotice"];
export type Form = Schemas["Form"];
export type FormParts = Schemas["FormParts"];
export type FormItem = Schemas["FormItem"];
export type FormSection = Schemas["FormSection"];
export type FormJump = Schemas["FormJump"];
export type FormState = Schemas["FormState"];
export type Line = Schemas["Line"];
export type CaseExample = Schemas["CaseExample"];
export type MapField = Schemas["MapField"];
export type MapRule = Schemas["MapRule"];
export type Script = Schemas["Script"];
export type Act = Schemas["Act"];
export type Trial = Schemas["Trial"];
export type Expectation = Schemas["Expectation"];
export type ProofParts = Schemas["ProofParts"];
export type Proofs = Schemas["Proofs"];
export type ProofLine = Proofs["proofs"][number];
export type Covered = Proofs["coverage"][number];
export type FormulaPart = Schemas["FormulaPart"];

/** What the server refused, or why it could not be reached (status 0). */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** Told to the window when the server no longer knows who asks. */
export const SIGNED_OUT = "up-tack-signed-out";

let writeKey = "";

/** What the pages of this session send along when they write. */
export const setWriteKey = (key: string) => {
  writeKey = key;
};

/** Headers of a write that does not go through the client. */
export const writeHeaders = () => ({ "Content-Type": "application/json", "X-Write-Key": writeKey });

const keys: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET" && writeKey) request.headers.set("X-Write-Key", writeKey);
    return request;
  },
};

const problems: Middleware = {
  async onResponse({ response }) {
    if (response.ok) return;
    const known = response.headers.get("content-type")?.includes("problem+json");
    const problem: Problem = known
      ? await response.json()
      : { type: "about:blank", title: t("errors.unexpected"), status: response.status, code: "unexpected" };
    if (problem.code === "signed_out" && !response.url.endsWith("/api/session"))
      window.dispatchEvent(new CustomEvent(SIGNED_OUT, { detail: problem.title }));
    throw new ProblemError(problem);
  },
  onError() {
    throw new ProblemError({ type: "about:blank", title: t("errors.offline"), status: 0, code: "offline" });
  },
};

/** The typed client of the HTTP API. A failed call throws a ProblemError. */
export const api = createClient<paths>({ baseUrl: basePath, fetch: revalidated });
api.use(keys, problems, noticed);

/** The data of an answer whose status was a success. */
export async function data<T>(call: Promise<{ data?: T }>): Promise<T> {
  const { data: found } = await call;
  return found as T;
}
