import type { FC } from "react";
import type { RuleKind } from "../../api/client";
import type { OwnEditorKind } from "../../api/kinds.generated";
import { t } from "../../words";
import { Numbering } from "./Numbering";
import { CalculationParts } from "./parts/CalculationParts";
import { CheckParts } from "./parts/CheckParts";
import { CommonParts } from "./parts/CommonParts";
import { CopyParts } from "./parts/CopyParts";
import { DecisionParts } from "./parts/DecisionParts";
import { DefaultParts } from "./parts/DefaultParts";
import { ExistsParts } from "./parts/ExistsParts";
import { FillParts } from "./parts/FillParts";
import { LimitsParts } from "./parts/LimitsParts";
import { LockParts } from "./parts/LockParts";
import { LineParts, StampParts, TallyParts } from "./parts/LogParts";
import { MaskParts } from "./parts/MaskParts";
import { MessageParts } from "./parts/MessageParts";
import { NarrowParts } from "./parts/NarrowParts";
import { NumberParts } from "./parts/NumberParts";
import { StateParts } from "./parts/StateParts";
import { SternnessParts } from "./parts/SternnessParts";
import type { EditorProps } from "./parts/shared";
import { TidyParts } from "./parts/TidyParts";
import { WhenParts } from "./parts/WhenParts";

/** The editor of each kind of rule that has one of its own. The compiler refuses the list when one is missing. */
const OWN: Record<OwnEditorKind, FC<EditorProps>> = {
  default: DefaultParts,
  mask: MaskParts,
  tidy: TidyParts,
  fill: FillParts,
  decision: (props) => <DecisionParts {...props} row={props.preview?.looked?.row ?? null} />,
  narrow: NarrowParts,
  copy: CopyParts,
  calculation: (props) => <CalculationParts {...props} fleeting={props.preview?.fleeting ?? []} />,
  check: CheckParts,
  required: (props) => <WhenParts {...props} label={t("rulePanel.onlyWhile")} />,
  limits: LimitsParts,
  length: (props) => <LimitsParts {...props} counts />,
  exists: ExistsParts,
  lock: LockParts,
  state: StateParts,
  number: (props) => (
    <>
      <NumberParts {...props} />
      {props.rule && <Numbering table={props.table} rule={props.rule.id} />}
    </>
  ),
  stamp: StampParts,
  tally: TallyParts,
  line: LineParts,
};

const isOwn = (kind: string): kind is OwnEditorKind => kind in OWN;

/** The editor of a rule: its kind's own one, or the one that all others share; what validations have beneath. */
export function RuleEditor(props: EditorProps & { kind: RuleKind; usual: string }) {
  const { kind, ...shared } = props;
  const Own = isOwn(kind.kind) ? OWN[kind.kind] : null;
  return (
    <>
      {Own ? <Own {...shared} /> : <CommonParts {...shared} kind={kind} />}
      {kind.validates && (
        <>
          <MessageParts {...shared} key={kind.kind} />
          {kind.lenient && <SternnessParts parts={shared.parts} change={shared.change} />}
        </>
      )}
    </>
  );
}
