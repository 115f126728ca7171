import ELK from "elkjs/lib/elk-api.js";
import worker from "elkjs/lib/elk-worker.min.js?url";
import type { Graph } from "./graph";

export const WIDTH = 176;
export const HEIGHT = 44;

/** Works in a thread of its own, whose script is loaded when a map is first opened: large graphs take seconds. */
const elk = new ELK({ workerUrl: worker });

/** Where each node stands: left to right, what is read before what reads it. */
export async function placed(graph: Graph): Promise<Map<string, { x: number; y: number }>> {
  const nodes = [...graph.fields, ...graph.rules];
  const found = await elk.layout({
    id: "map",
    layoutOptions: {
      "elk.algorithm": "layered",
      "elk.direction": "RIGHT",
      "elk.layered.spacing.nodeNodeBetweenLayers": "48",
      "elk.spacing.nodeNode": "12",
      "elk.separateConnectedComponents": "true",
      "elk.spacing.componentComponent": "28",
      "elk.aspectRatio": "1.75",
    },
    children: nodes.map(({ id }) => ({ id, width: WIDTH, height: HEIGHT })),
    edges: graph.edges
      // A rule that reads the value before the save does not wait for it.
      .filter((edge) => !edge.before)
      .map((edge, index) => ({ id: `e${index}`, sources: [edge.from], targets: [edge.to] })),
  });
  return new Map((found.children ?? []).map(({ id, x = 0, y = 0 }) => [id, { x, y }]));
}
