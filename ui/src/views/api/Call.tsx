import { useState } from "react";
import type { Document, Operation, Parameter, Schema } from "../../api/tokens";
import { sentences, t } from "../../words";
import { TryCall } from "./TryCall";

type Props = { document: Document; method: string; path: string; operation: Operation; parameters: Parameter[] };

/** One call: who may make it, what it takes, what it answers. */
export function Call({ document, method, path, operation, parameters }: Props) {
  const [open, setOpen] = useState(false);
  const body = operation.requestBody && Object.entries(operation.requestBody.content)[0];
  const all = [...parameters, ...(operation.parameters ?? [])].map((each) => named(document, each));
  return (
    <details
      className="sheet px-4 py-2.5"
      id={operation.operationId}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="flex cursor-pointer flex-wrap items-baseline gap-x-3">
        <code className="w-14 shrink-0 font-mono font-semibold text-primary text-xs">{method.toUpperCase()}</code>
        <code className="break-all font-mono text-[0.8125rem]">{path}</code>
        <span className="min-w-0 flex-1 basis-72 text-[0.8125rem]">{operation.summary}</span>
        <span className="quiet text-xs">{sentences.docs.least(operation["x-least"])}</span>
      </summary>
      <div className="mt-3 flex flex-col gap-3 text-[0.8125rem]">
        {all.length > 0 && (
          <Part title={t("docs.query")}>
            {all.map((each) => (
              <Line
                key={each.name}
                name={each.name ?? ""}
                type={typeOf(each.schema)}
                required={each.required ?? false}
                note={each.description}
              />
            ))}
          </Part>
        )}
        {body && (
          <Part title={`${t("docs.body")} · ${body[0]}`}>
            <Fields document={document} schema={body[1].schema} />
          </Part>
        )}
        <Part title={t("docs.answers")}>
          {Object.entries(operation.responses).map(([status, response]) => {
            const known = response.$ref
              ? document.components.responses[response.$ref.split("/").pop() ?? ""]
              : response;
            const types = Object.keys(response.content ?? (known as typeof response)?.content ?? {});
            return (
              <Line key={status} name={status} type={types.join(", ")} required={false} note={known?.description} />
            );
          })}
        </Part>
        {open && <TryCall document={document} method={method} path={path} operation={operation} parameters={all} />}
      </div>
    </details>
  );
}

const named = (document: Document, parameter: Parameter): Parameter =>
  parameter.$ref ? (document.components.parameters[parameter.$ref.split("/").pop() ?? ""] ?? parameter) : parameter;

const typeOf = (schema: Schema | undefined): string => {
  if (!schema) return "";
  if (schema.$ref) return schema.$ref.split("/").pop() ?? "";
  if (schema.enum) return schema.enum.map(String).join(" | ");
  if (schema.items) return `[${typeOf(schema.items)}]`;
  if (schema.anyOf) return schema.anyOf.map(typeOf).join(" | ");
  return [schema.type ?? ""].flat().join(" | ");
};

function Fields({ document, schema }: { document: Document; schema: Schema }) {
  const found = schema.$ref ? document.components.schemas[schema.$ref.split("/").pop() ?? ""] : schema;
  if (!found?.properties) return <Line name="" type={typeOf(schema)} required={false} note={found?.description} />;
  return Object.entries(found.properties).map(([name, each]) => (
    <Line
      key={name}
      name={name}
      type={typeOf(each)}
      required={found.required?.includes(name) ?? false}
      note={each.description}
    />
  ));
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section>
      <h3 className="mb-1 text-xs">{title}</h3>
      <dl className="flex flex-col gap-0.5">{children}</dl>
    </section>
  );
}

function Line({ name, type, required, note }: { name: string; type: string; required: boolean; note?: string }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-3">
      <dt className="w-28 shrink-0 truncate font-mono text-xs">{name}</dt>
      <dd className="min-w-0 flex-1">
        <code className="font-mono text-secondary text-xs">{type}</code>
        {required && <span className="ml-2 text-xs">{t("docs.required")}</span>}
        {note && <span className="quiet ml-2">{note}</span>}
      </dd>
    </div>
  );
}
