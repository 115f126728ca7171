import { CopyPlus, History, Plus, Trash2 } from "lucide-react";
import { Link } from "react-router";
import type { RecordData, Table } from "../../api/client";
import { words } from "../../words";

type Props = { table: Table; record: RecordData | null; onRemove: () => void };

/** The record's title, and what can be done with a record that is kept. */
export function FormHead({ table, record, onRemove }: Props) {
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
      <h1 className="min-w-0 flex-1 truncate text-2xl max-sm:basis-full">
        {record ? record.title : words.form.newTitle(table.one)}
      </h1>
      {record && (
        <>
          <Link
            to={`/t/${table.key}/history?record=${record.id}`}
            className="btn btn-ghost btn-sm"
            title={words.form.history}
          >
            <History size={15} aria-hidden />
            {words.views.history}
          </Link>
          {table.may.edit && (
            <>
              <Link to={`/t/${table.key}/forms?copy=${record.id}`} className="btn btn-ghost btn-sm">
                <CopyPlus size={15} aria-hidden />
                {words.form.copy}
              </Link>
              <Link to={`/t/${table.key}/forms`} className="btn btn-ghost btn-sm">
                <Plus size={15} aria-hidden />
                {words.form.copyNew}
              </Link>
            </>
          )}
          {table.may.delete && (
            <button type="button" className="btn btn-ghost btn-sm text-error" onClick={onRemove}>
              <Trash2 size={15} aria-hidden />
              {words.form.remove}
            </button>
          )}
        </>
      )}
    </div>
  );
}
