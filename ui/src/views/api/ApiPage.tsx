import { useState } from "react";
import { address } from "../../api/address";
import { type Operation, type Parameter, useApiDocument } from "../../api/tokens";
import { usePermissions } from "../../app/usePermissions";
import { Failure } from "../../components/Failure";
import { Loading } from "../../components/Loading";
import { t } from "../../words";
import { Call } from "./Call";
import { Tokens } from "./Tokens";
import { Webhooks } from "./Webhooks";

const METHODS = ["get", "post", "put", "patch", "delete"];

/** The HTTP API to read: every call of the document that the application is held against, and tokens for scripts. */
export default function ApiPage() {
  const document = useApiDocument();
  const may = usePermissions();
  const [sought, setSought] = useState("");
  if (!document.data) return document.error ? <Failure error={document.error} retry={document.refetch} /> : <Loading />;
  const calls = Object.entries(document.data.paths).flatMap(([path, item]) =>
    METHODS.flatMap((method) => {
      const operation = item[method];
      return operation ? [{ path, method, operation: operation as Operation, item }] : [];
    }),
  );
  const shown = calls.filter(({ path, method, operation }) =>
    `${method} ${path} ${operation.summary} ${operation.operationId}`
      .toLowerCase()
      .includes(sought.trim().toLowerCase()),
  );
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-4 px-5 py-6">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">{t("docs.title")}</h1>
        <p className="quiet flex-1 basis-60 text-xs">{t("docs.aim")}</p>
        <a className="link text-xs" href={address("/api/openapi.yaml")}>
          {t("docs.document")}
        </a>
      </div>
      <Tokens />
      {may.design && <Webhooks />}
      <input
        className="input input-sm w-full"
        placeholder={t("docs.search")}
        aria-label={t("docs.search")}
        value={sought}
        onChange={(event) => setSought(event.target.value)}
      />
      {/* The document is in English, whatever the interface's language. */}
      <div className="flex flex-col gap-1.5" lang="en">
        {shown.map(({ path, method, operation, item }) => (
          <Call
            key={operation.operationId}
            document={document.data}
            method={method}
            path={path}
            operation={operation}
            parameters={((item as { parameters?: Parameter[] }).parameters ?? []) as Parameter[]}
          />
        ))}
        {shown.length === 0 && <p className="quiet">{t("docs.none")}</p>}
      </div>
    </div>
  );
}
