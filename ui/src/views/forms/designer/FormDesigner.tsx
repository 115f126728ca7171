import { useQueryClient } from "@tanstack/react-query";
import { ArrowLeft, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { toast } from "sonner";
import { api, type FormParts, type Mistake, ProblemError, type Table } from "../../../api/client";
import { awaitJob } from "../../../api/jobs";
import { MissingPage } from "../../../app/MissingPage";
import { useTableHere } from "../../../app/TableFrame";
import { usePermissions } from "../../../app/usePermissions";
import { useShortcuts } from "../../../app/useShortcuts";
import { editPlace, useEdit } from "../../../components/edits";
import { HelpLink } from "../../../components/HelpLink";
import { WithNewLinked } from "../../../components/record/WithNewLinked";
import { t } from "../../../words";
import { FormPreview } from "./FormPreview";
import { FormSettings } from "./FormSettings";
import { Structure } from "./Structure";
import { beginning, partsOf } from "./shape";

/** Where a form is laid out, with the form running beside it. */
export default function FormDesignerView() {
  return (
    <WithNewLinked>
      <FormDesigner />
    </WithNewLinked>
  );
}

function FormDesigner() {
  const table = useTableHere();
  const { form: id = "new" } = useParams();
  const may = usePermissions();
  const form = table.forms.find((each) => each.id === id);
  if (!may.design) return <MissingPage message={t("designer.builders")} />;
  if (id !== "new" && (!form || id === "all")) return <MissingPage message={t("forms.gone")} />;
  return <Designer key={id} table={table} id={id} saved={form ? partsOf(form) : null} />;
}

type Props = { table: Table; id: string; saved: FormParts | null };

function Designer({ table, id, saved }: Props) {
  const first = saved ?? beginning(table, t("designer.usualName", { one: table.one }));
  const edit = useEdit<FormParts>(editPlace.form(table.id, id), first);
  const form = edit.value;
  const [mistakes, setMistakes] = useState<Mistake[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const client = useQueryClient();
  const navigate = useNavigate();
  const dirty = saved === null || edit.dirty;

  const change = (next: FormParts) => {
    edit.change(next);
    setRefused(null);
  };

  const refuse = (error: unknown) => {
    if (!(error instanceof ProblemError)) throw error;
    setRefused(error.message.replaceAll("`", ""));
    setMistakes(error.problem.mistakes ?? []);
  };

  const save = async () => {
    try {
      const made =
        id === "new"
          ? await awaitJob(
              api.POST("/api/tables/{table}/forms", { params: { path: { table: table.key } }, body: form }),
            )
          : await awaitJob(
              api.PUT("/api/tables/{table}/forms/{form}", {
                params: { path: { table: table.key, form: id } },
                body: form,
              }),
            );
      edit.done();
      await client.invalidateQueries();
      toast.success(t("designer.saved", { name: form.name }));
      navigate(`/t/${table.key}/forms?form=${made.id}`);
    } catch (error) {
      refuse(error);
    }
  };

  const remove = async () => {
    try {
      const path = { table: table.key, form: id };
      await awaitJob(api.DELETE("/api/tables/{table}/forms/{form}", { params: { path } }));
      edit.done();
      await client.invalidateQueries();
      toast(t("designer.removed", { name: form.name }));
      navigate(`/t/${table.key}/forms`);
    } catch (error) {
      refuse(error);
    }
  };

  // Heard wherever the cursor is.
  useShortcuts({
    "mod+Enter": (event) => {
      event.preventDefault();
      save();
    },
  });

  return (
    <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-center gap-2 border-base-300 border-b bg-base-100 px-5 py-2">
        <Link to={`/t/${table.key}/forms`} className="btn btn-ghost btn-sm">
          <ArrowLeft size={15} aria-hidden />
          {t("designer.back")}
        </Link>
        <h1 className="min-w-0 flex-1 basis-40 text-lg">
          {t("designer.title", { name: form.name, table: table.label })}
        </h1>
        <HelpLink page="forms" />
        {edit.found && edit.dirty && (
          <button type="button" className="link text-xs" onClick={() => change(first)}>
            {t("designer.startOver")}
          </button>
        )}
        {id !== "new" && (
          <button type="button" className="btn btn-ghost btn-sm text-error" onClick={remove}>
            <Trash2 size={14} aria-hidden />
            {t("designer.remove")}
          </button>
        )}
        <button type="button" className="btn btn-primary btn-sm" onClick={save} disabled={!dirty}>
          {t("designer.save")}
          <kbd className="text-[0.6875rem] opacity-75">Ctrl Enter</kbd>
        </button>
      </div>
      <div className="grid min-h-0 lg:grid-cols-[27rem_minmax(0,1fr)] max-lg:overflow-auto">
        <div className="flex min-h-0 flex-col gap-4 border-base-300 border-r bg-base-100 px-4 py-4 lg:overflow-auto">
          {refused && (
            <p role="alert" className="text-error">
              {refused}
            </p>
          )}
          <FormSettings table={table} form={form} onChange={change} mistakes={mistakes} />
          <Structure table={table} form={form} onChange={change} mistakes={mistakes} />
        </div>
        <FormPreview table={table} form={form} onMistakes={setMistakes} />
      </div>
    </div>
  );
}
