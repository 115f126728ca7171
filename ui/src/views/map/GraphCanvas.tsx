import "@xyflow/react/dist/style.css";
import { Background, Controls, Handle, type Node, type NodeProps, Position, ReactFlow } from "@xyflow/react";
import { TriangleAlert } from "lucide-react";
import { useEffect, useState } from "react";
import type { MapField, MapRule } from "../../api/client";
import { Mark } from "../../components/Mark";
import { t, word } from "../../words";
import type { Graph } from "./graph";
import { HEIGHT, placed, WIDTH } from "./layout";

/** A node that was clicked. */
const LIT = "border-accent bg-[var(--tint-lit)]";

type Props = { graph: Graph; table: string; picked: string | null; onPick: (id: string) => void };
type FieldNode = Node<{ field: MapField; elsewhere: boolean; picked: boolean }, "field">;
type RuleNode = Node<{ rule: MapRule; picked: boolean }, "rule">;

const TYPES = { field: FieldShape, rule: RuleShape };

/** Fields and rules as a graph, left to right in the order of evaluation. */
export function GraphCanvas({ graph, table, picked, onPick }: Props) {
  const [places, setPlaces] = useState<Map<string, { x: number; y: number }> | null>(null);
  useEffect(() => {
    let current = true;
    placed(graph).then((found) => current && setPlaces(found));
    return () => {
      current = false;
    };
  }, [graph]);

  if (!places) return null;
  const shared = (id: string) => ({
    id,
    position: places.get(id) ?? { x: 0, y: 0 },
    width: WIDTH,
    height: HEIGHT,
    draggable: false,
    connectable: false,
  });
  const nodes: (FieldNode | RuleNode)[] = [
    ...graph.fields.map(
      (field): FieldNode => ({
        ...shared(field.id),
        type: "field",
        ariaLabel: `${field.label}, ${field.table_label}`,
        data: { field, elsewhere: field.table !== table, picked: field.id === picked },
      }),
    ),
    ...graph.rules.map(
      (rule): RuleNode => ({
        ...shared(rule.id),
        type: "rule",
        ariaLabel: rule.sentence,
        data: { rule, picked: rule.id === picked },
      }),
    ),
  ];
  const names = new Map([
    ...graph.fields.map((field) => [field.id, field.label] as const),
    ...graph.rules.map((rule) => [rule.id, rule.tack] as const),
  ]);
  const edges = graph.edges.map((edge) => {
    const lit = picked !== null && (edge.from === picked || edge.to === picked);
    return {
      id: `${edge.from}>${edge.to}>${edge.how}>${edge.before}`,
      source: edge.from,
      target: edge.to,
      focusable: false,
      ariaLabel: t("map.edge", { from: names.get(edge.from) ?? "", to: names.get(edge.to) ?? "" }),
      label: edge.before ? t("map.before") : undefined,
      style: {
        stroke: lit
          ? "var(--color-secondary)"
          : "color-mix(in srgb, var(--color-secondary) 45%, var(--color-base-200))",
        strokeWidth: lit ? 2.25 : 1.5,
        strokeDasharray: edge.how === "writes" ? "7 4" : edge.how === "checks" ? "2 4" : undefined,
      },
    };
  });
  return (
    <section className="min-h-0" aria-label={t("map.title")} data-ready={places.size > 0 || undefined}>
      <ReactFlow
        key={graph.edges.length + (picked ?? table)}
        nodes={nodes}
        edges={edges}
        nodeTypes={TYPES}
        fitView
        fitViewOptions={{ padding: 0.04, minZoom: 0.4, maxZoom: 1.1 }}
        minZoom={0.15}
        maxZoom={1.6}
        edgesFocusable={false}
        nodesConnectable={false}
        proOptions={{ hideAttribution: true }}
        ariaLabelConfig={ariaLabels()}
        onNodeClick={(_, node) => onPick(node.id)}
        onKeyDown={(event) => {
          const id = (event.target as HTMLElement).closest<HTMLElement>(".react-flow__node")?.dataset.id;
          if (event.key === "Enter" && id) onPick(id);
        }}
      >
        <Background color="var(--color-base-300)" gap={22} />
        <Controls showInteractive={false} />
      </ReactFlow>
    </section>
  );
}

/** What the library says of its own parts. */
const ariaLabels = () => ({
  "controls.ariaLabel": t("map.controls.title"),
  "controls.zoomIn.ariaLabel": t("map.controls.in"),
  "controls.zoomOut.ariaLabel": t("map.controls.out"),
  "controls.fitView.ariaLabel": t("map.controls.fit"),
  "node.a11yDescription.default": t("map.controls.node"),
});

function FieldShape({ data }: NodeProps<FieldNode>) {
  const { field, elsewhere, picked } = data;
  return (
    <div
      data-writes={field.id}
      title={field.note ? `${field.note}\n${field.sentence}` : field.sentence}
      className={`flex h-full flex-col justify-center border-b-2 px-2
        ${picked ? LIT : elsewhere ? "border-base-300 bg-base-200" : "border-base-content/50 bg-base-100"}`}
    >
      <Ends />
      <span className="truncate font-semibold text-[0.8125rem] leading-tight">{field.label}</span>
      <span className="quiet truncate text-[0.6875rem] leading-tight">
        {elsewhere ? field.table_label : field.type_label.toLowerCase()}
      </span>
    </div>
  );
}

function RuleShape({ data }: NodeProps<RuleNode>) {
  const { rule, picked } = data;
  const notice = rule.notices.map((each) => each.message).join(" ");
  return (
    <div
      title={[rule.sentence, rule.note, notice].filter(Boolean).join("\n")}
      className={`flex h-full items-center gap-1.5 rounded border border-b-2 px-2
        ${picked ? LIT : notice ? "border-secondary border-dashed bg-base-100" : "border-base-300 bg-base-100"}`}
    >
      <Ends />
      <Mark size={11} className="shrink-0 text-primary" />
      <span className="min-w-0">
        <span className="block truncate text-xs leading-tight">{rule.tack}</span>
        <span className="quiet block truncate text-[0.625rem] leading-tight">
          {rule.place} · {word(`map.stages.${rule.stage}`) ?? rule.stage}
        </span>
      </span>
      {notice && <TriangleAlert size={13} className="ml-auto shrink-0 text-secondary" aria-label={notice} />}
    </div>
  );
}

function Ends() {
  const look = "!size-1 !min-w-0 !min-h-0 !border-0 !bg-transparent";
  return (
    <>
      <Handle type="target" position={Position.Left} className={look} />
      <Handle type="source" position={Position.Right} className={look} />
    </>
  );
}
