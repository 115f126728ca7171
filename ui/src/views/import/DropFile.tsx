import { FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { ProblemError } from "../../api/client";
import { type Upload, uploadFile } from "../../api/imports";
import { t } from "../../words";

type Props = {
  onFile: (upload: Upload) => void;
  /** Whether files with several tables are taken too. */
  databases?: boolean;
};

const TABLES = ".csv,.txt,.tsv,.xlsx,.ods,.json,.jsonl,.ndjson";
const DATABASES = ".sqlite,.sqlite3,.db,.sql,.zip";

/** Where a file is dropped or picked. */
export function DropFile({ onFile, databases = false }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const [share, setShare] = useState<number | null>(null);
  const [failure, setFailure] = useState<string | null>(null);

  const take = async (file: File | undefined) => {
    if (!file) return;
    setFailure(null);
    setShare(0);
    try {
      onFile(await uploadFile(file, setShare));
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setFailure(error.message);
    } finally {
      setShare(null);
    }
  };

  return (
    <section
      aria-label={t("imports.drop")}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
      className={`flex flex-col items-center gap-3 rounded border-2 border-dashed px-6 py-12 text-center
        ${over ? "border-accent bg-[var(--tint-lit)]" : "border-[var(--stitch)] bg-base-100"}`}
    >
      <FileUp size={28} aria-hidden className="text-secondary" />
      <p className="text-lg">{t("imports.drop")}</p>
      <button
        type="button"
        className="btn btn-primary btn-sm"
        disabled={share !== null}
        onClick={() => picker.current?.click()}
      >
        {share === null ? t("imports.or") : t("imports.sending", { percent: Math.round(share * 100) })}
      </button>
      <p className="quiet text-xs">{t("imports.formats")}</p>
      {databases && <p className="quiet -mt-2 text-xs">{t("imports.databases")}</p>}
      {failure && (
        <p className="text-error" role="alert">
          {failure}
        </p>
      )}
      <input
        ref={picker}
        type="file"
        accept={databases ? `${TABLES},${DATABASES}` : TABLES}
        className="sr-only"
        tabIndex={-1}
        aria-label={t("imports.or")}
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
    </section>
  );
}
