import { useQueryClient } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense, useEffect, useState } from "react";
import { ProblemError, type Session, SIGNED_OUT, setWriteKey } from "../api/client";
import { useSession } from "../api/queries";
import { queryKeys } from "../api/queryKeys";
import { Failure } from "../components/Failure";
import { Loading } from "../components/Loading";
import { ownedBy } from "../components/record/tabs";
import { ofTab } from "../storage";

const SignIn = lazy(() => import("../views/sign_in/SignIn"));

/** How the server begins where it can't say why nobody is signed in. */
const PLAIN = /^You are not signed in/;

/** Lets in whoever is signed in; everybody else meets the sign-in page, at whatever address. */
export function AuthGate({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const session = useSession();
  // Why the server stopped knowing who asks: it says so once, when it finds out.
  const [reason, setReason] = useState<string | null>(null);

  useEffect(() => {
    const onSignedOut = (event: Event) => {
      // Of several answers that come at once, the one that says why has the last word.
      if (event instanceof CustomEvent)
        setReason((before) => (before === null || !PLAIN.test(event.detail) ? event.detail : before));
      client.resetQueries({ queryKey: queryKeys.session() });
    };
    window.addEventListener(SIGNED_OUT, onSignedOut);
    return () => window.removeEventListener(SIGNED_OUT, onSignedOut);
  }, [client]);

  const enter = (found: Session) => {
    setWriteKey(found.write_key);
    setReason(null);
    // Nothing that one person saw is kept for the next.
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== "session" });
    client.setQueryData(queryKeys.session(), found);
  };

  const refused = session.error instanceof ProblemError && session.error.problem.status === 401;
  if (refused)
    return (
      <Suspense fallback={<Loading />}>
        <SignIn reason={wasHere() ? (reason ?? session.error?.message ?? null) : null} onSession={enter} />
      </Suspense>
    );
  if (session.data) {
    ofTab.set(HERE, "yes");
    ownedBy(session.data.person.id);
    return (
      <div key={session.data.person.id} className="contents">
        {children}
      </div>
    );
  }
  return session.error ? <Failure error={session.error} retry={session.refetch} /> : <Loading />;
}

const HERE = "up-tack-was-here";

/** Whether somebody was signed in in this tab, who deserves to be told why no longer. */
export const wasHere = () => ofTab.get(HERE) === "yes";

/** Forgets that, for whoever signs out on purpose. */
export const leave = () => ofTab.set(HERE, null);
