import type { components } from "../../api/generated";

type Answered = {
  fields: components["schemas"]["MapField"][];
  rules: components["schemas"]["MapRule"][];
  edges: { from: string; to: string; how: "reads" | "writes" | "checks"; before: boolean }[];
};
export type Graph = Answered;
export type Edge = Graph["edges"][number];

/** Edges by the node from which, or to which, they lead. */
function byNode(edges: Edge[], end: "from" | "to") {
  const found = new Map<string, Edge[]>();
  for (const edge of edges) found.set(edge[end], [...(found.get(edge[end]) ?? []), edge]);
  return found;
}

/** All that can be reached from a node along the edges, or against them, as far as values flow. */
export function reached(graph: Graph, node: string, way: "feeds" | "follows"): Set<string> {
  const flowing = graph.edges.filter((edge) => edge.how !== "checks");
  const next = byNode(flowing, way === "feeds" ? "to" : "from");
  const found = new Set<string>();
  const left = [node];
  for (let at = left.pop(); at !== undefined; at = left.pop()) {
    for (const edge of next.get(at) ?? []) {
      const other = way === "feeds" ? edge.from : edge.to;
      if (found.has(other)) continue;
      found.add(other);
      left.push(other);
    }
  }
  return found;
}

/** What stands beside a node at once. */
export function neighbours(graph: Graph, node: string) {
  const of = (end: "from" | "to", how: Edge["how"]) => {
    const found = graph.edges.filter((edge) => edge[end === "from" ? "to" : "from"] === node && edge.how === how);
    return [...new Set(found.map((edge) => edge[end]))];
  };
  return {
    writtenBy: of("from", "writes"),
    checkedBy: of("from", "checks"),
    readBy: of("to", "reads"),
    reads: of("from", "reads"),
    sets: of("to", "writes"),
    checks: of("to", "checks"),
  };
}

/** Stages whose rules set fields from others; the picture begins with these. */
const FEEDING = ["fill", "calculate", "number"];

/**
 * The part of the graph that is shown: one table with what it touches elsewhere, or what a picked node is connected
 * with.
 */
export function part(graph: Graph, table: string | null, picked: string | null, checks: boolean): Graph {
  let ids: Set<string>;
  if (picked) {
    ids = new Set([picked, ...reached(graph, picked, "feeds"), ...reached(graph, picked, "follows")]);
    // A rule stands with all that it reads and sets, a field with what checks it.
    for (const edge of graph.edges) if (edge.from === picked || edge.to === picked) ids.add(edge.from).add(edge.to);
  } else {
    const writing = new Set(graph.edges.filter((edge) => edge.how === "writes").map((edge) => edge.from));
    const rules = graph.rules
      .filter((rule) => table === null || rule.table === table)
      .filter((rule) => checks || rule.notices.length > 0 || (writing.has(rule.id) && FEEDING.includes(rule.stage)))
      .map((rule) => rule.id);
    const own = new Set(rules);
    ids = new Set(rules);
    for (const edge of graph.edges) if (own.has(edge.from) || own.has(edge.to)) ids.add(edge.from).add(edge.to);
  }
  // What a rule reads and checks stands before it once, not around it.
  const read = new Set(graph.edges.filter((edge) => edge.how === "reads").map((edge) => `${edge.from} ${edge.to}`));
  return {
    fields: graph.fields.filter((field) => ids.has(field.id)),
    rules: graph.rules.filter((rule) => ids.has(rule.id)),
    edges: graph.edges.filter(
      (edge) =>
        ids.has(edge.from) && ids.has(edge.to) && !(edge.how === "checks" && read.has(`${edge.to} ${edge.from}`)),
    ),
  };
}
