import { Suspense } from "react";
import { Outlet, useOutletContext, useParams } from "react-router";
import { ProblemError, type Table } from "../api/client";
import { useTable } from "../api/queries";
import { Failure } from "../components/Failure";
import { Loading } from "../components/Loading";
import { MissingPage } from "./MissingPage";

/** Loads the table of the address and gives it to the view beneath. */
export function TableFrame() {
  const { table = "" } = useParams();
  const { data, error, refetch } = useTable(table);
  if (error instanceof ProblemError && error.problem.status === 404) return <MissingPage message={error.message} />;
  if (!data) return error ? <Failure error={error} retry={refetch} /> : <Loading />;
  return (
    <Suspense fallback={<Loading />}>
      <Outlet context={data} key={data.id} />
    </Suspense>
  );
}

/** The table whose view this is. */
export const useTableHere = () => useOutletContext<Table>();
