import { useMutation } from "@tanstack/react-query";
import { Download, FileUp } from "lucide-react";
import { lazy, Suspense, useRef, useState } from "react";
import { toast } from "sonner";
import { address } from "../../api/address";
import { ProblemError } from "../../api/client";
import { previewProject, useBringIn } from "../../api/project";
import { Dialog } from "../../components/Dialog";
import { Loading } from "../../components/Loading";
import { t } from "../../words";

const ProjectDifferences = lazy(() => import("./ProjectDifferences"));

/** The whole design as an open file: taken out, and brought in after a look at what it would change. */
export function ProjectFile({ onClose }: { onClose: () => void }) {
  const picker = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const preview = useMutation({ mutationFn: previewProject });
  const bringIn = useBringIn();
  const problem = (bringIn.error ?? preview.error) as Error | null;
  const mistakes = problem instanceof ProblemError ? (problem.problem.mistakes ?? []) : [];

  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const text = await chosen.text();
    setFile({ name: chosen.name, text });
    bringIn.reset();
    preview.mutate(text);
  };

  return (
    <Dialog title={t("project.title")} onClose={onClose} wide>
      <p className="quiet mb-4">{t("project.aim")}</p>
      <div className="flex flex-wrap gap-2">
        <a className="btn btn-sm" href={address("/api/project")} download>
          <Download size={14} aria-hidden />
          {t("project.out")}
        </a>
        <button type="button" className="btn btn-sm" onClick={() => picker.current?.click()}>
          <FileUp size={14} aria-hidden />
          {t("project.in")}
        </button>
        <input
          ref={picker}
          type="file"
          accept=".json,application/json"
          className="sr-only"
          tabIndex={-1}
          aria-label={t("project.in")}
          onChange={(event) => {
            read(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </div>
      <h3 className="mt-5 text-base">{t("exports.all")}</h3>
      <p className="quiet mb-2">{t("exports.allAim")}</p>
      <div className="flex flex-wrap gap-2">
        {(
          [
            ["sqlite3", t("exports.sqlite")],
            ["sql", t("exports.sql")],
            ["pg.sql", t("exports.postgresql")],
            ["zip", t("exports.package")],
          ] as const
        ).map(([ending, name]) => (
          <a key={ending} className="btn btn-sm" href={address(`/api/export.${ending}`)} download>
            <Download size={14} aria-hidden />
            {name}
          </a>
        ))}
      </div>
      {file && <h3 className="mt-5 text-base">{t("project.of", { name: file.name })}</h3>}
      {problem && (
        <div className="mt-2 text-error" role="alert">
          <p className="font-semibold">{t("project.refused", { count: Math.max(mistakes.length, 1) })}</p>
          <ul className="mt-1 flex max-h-64 list-disc flex-col gap-1 overflow-auto pl-5">
            {(mistakes.length > 0 ? mistakes : [{ message: problem.message, place: undefined }]).map((each) => (
              <li key={`${each.place ?? ""}${each.message}`} className="break-words">
                {each.place && !each.message.startsWith(each.place) && <span className="quiet">{each.place}: </span>}
                {each.message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {preview.data && !problem && (
        <Suspense fallback={<Loading />}>
          <ProjectDifferences preview={preview.data} />
        </Suspense>
      )}
      <div className="mt-5 flex justify-end gap-2">
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {t("common.close")}
        </button>
        {file && preview.data && !problem && (
          <button
            type="button"
            className="btn btn-primary btn-sm"
            disabled={bringIn.isPending || (preview.data.differences.length === 0 && preview.data.people.length === 0)}
            onClick={() =>
              bringIn.mutate(file.text, {
                onSuccess: () => {
                  toast.success(t("project.done", { name: preview.data.name }));
                  onClose();
                },
              })
            }
          >
            {t("project.bringIn")}
          </button>
        )}
      </div>
    </Dialog>
  );
}
