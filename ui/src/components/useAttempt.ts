import { useState } from "react";
import { ProblemError } from "../api/client";

/** Work that may be refused: whether it goes on, and in words why the last of it failed. */
export function useAttempt() {
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const attempt = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setFailure(null);
    try {
      await work();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setFailure(error.message);
    } finally {
      setBusy(false);
    }
  };
  return { attempt, busy, failure, forget: () => setFailure(null) };
}
