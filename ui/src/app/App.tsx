import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Toaster } from "sonner";
import { ProblemError } from "../api/client";
import { Loading } from "../components/Loading";
import { t } from "../words";
import { AuthGate, wasHere } from "./AuthGate";
import { Shown } from "./NotShown";

const inside = () => import("./Inside");
const Inside = lazy(inside);
// Whoever was signed in in this tab most likely still is. Where it does not arrive, it is asked for again.
if (wasHere()) inside().catch(() => undefined);

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // What could not be reached, or is too busy for a moment, is asked again.
      retry: (count, error) =>
        error instanceof ProblemError &&
        ((error.problem.status === 0 && count < 2) || (error.problem.code === "busy" && count < 5)),
    },
  },
});

/** Messages stand above the buttons that save. */
const FOOT = "calc(var(--save-bar, 0px) + 16px)";

export function App() {
  return (
    <QueryClientProvider client={client}>
      <Shown>
        <Suspense fallback={<Loading />}>
          <AuthGate>
            <Inside />
          </AuthGate>
        </Suspense>
      </Shown>
      <Toaster
        containerAriaLabel={t("shell.notices")}
        position="bottom-left"
        duration={8000}
        offset={{ bottom: FOOT, left: 16 }}
        mobileOffset={{ bottom: FOOT, left: 12, right: 12 }}
        toastOptions={{ className: "sheet !text-base-content !bg-base-100 !font-sans" }}
      />
    </QueryClientProvider>
  );
}
