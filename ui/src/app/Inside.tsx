import { lazy } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { basePath } from "../api/address";
import { FailedPage } from "./FailedPage";
import { MissingPage } from "./MissingPage";
import { Shell } from "./Shell";
import { TableFrame } from "./TableFrame";

const Overview = lazy(() => import("../views/overview/Overview"));
const Board = lazy(() => import("../views/board/Board"));
const FormDesigner = lazy(() => import("../views/forms/designer/FormDesigner"));
const MapView = lazy(() => import("../views/map/MapView"));
const RuleSheet = lazy(() => import("../views/sheet/RuleSheet"));
const FormView = lazy(() => import("../views/forms/FormView"));
const Records = lazy(() => import("../views/records/Records"));
const ImportView = lazy(() => import("../views/import/ImportView"));
const TableFromFile = lazy(() => import("../views/import/TableFromFile"));
const Bench = lazy(() => import("../views/bench/Bench"));
const Guide = lazy(() => import("../views/guide/Guide"));
const LanguageHelp = lazy(() => import("../views/help/LanguageHelp"));
const TidyReview = lazy(() => import("../views/tidy/TidyReview"));
const Outbox = lazy(() => import("../views/outbox/Outbox"));
const SpaceUsed = lazy(() => import("../views/maintenance/SpaceUsed"));
const Maintenance = lazy(() => import("../views/maintenance/Maintenance"));
const ApiPage = lazy(() => import("../views/api/ApiPage"));
const People = lazy(() => import("../views/people/People"));
const HistoryView = lazy(() => import("../views/history/HistoryView"));

const router = createBrowserRouter(
  [
    {
      element: <Shell />,
      errorElement: <FailedPage />,
      children: [
        { path: "/", element: <Overview /> },
        {
          path: "/t/:table",
          element: <TableFrame />,
          children: [
            { index: true, element: <Navigate to="rules" replace /> },
            { path: "rules", element: <Board /> },
            { path: "forms", element: <FormView /> },
            { path: "forms/design/:form", element: <FormDesigner /> },
            { path: "forms/:id", element: <FormView /> },
            { path: "map", element: <MapView /> },
            { path: "records", element: <Records /> },
            { path: "import", element: <ImportView /> },
            { path: "bench", element: <Bench /> },
            { path: "history", element: <HistoryView /> },
            { path: "tidy", element: <TidyReview /> },
          ],
        },
        { path: "/import", element: <TableFromFile /> },
        { path: "/outbox", element: <Outbox /> },
        { path: "/backups", element: <Maintenance /> },
        { path: "/space", element: <SpaceUsed /> },
        { path: "/api", element: <ApiPage /> },
        { path: "/people", element: <People /> },
        { path: "/language", element: <LanguageHelp /> },
        { path: "/sheet", element: <RuleSheet /> },
        { path: "/guide", element: <Guide /> },
        { path: "/guide/:page", element: <Guide /> },
        { path: "*", element: <MissingPage /> },
      ],
    },
  ],
  { basename: basePath || "/" },
);

/** All views, for whoever is signed in. */
export default function Inside() {
  return <RouterProvider router={router} />;
}
