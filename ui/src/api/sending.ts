import { ProblemError } from "./client";

/** Milliseconds before a write is sent again that got no answer, and the longest such pause. */
const PAUSE = 500;
const LONGEST = 5_000;

/** A name for one write: however often it is sent, it is done once. */
export const writeName = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, "0")).join("");

/**
 * Sends a write until it is answered. One whose answer was lost is sent as it was, under its name.
 * @param onSilence told each time that no answer came
 */
export async function untilAnswered<T>(send: () => Promise<T>, onSilence: () => void): Promise<T> {
  for (let pause = PAUSE; ; pause = Math.min(pause * 2, LONGEST)) {
    try {
      return await send();
    } catch (error) {
      if (!(error instanceof ProblemError) || error.problem.status !== 0) throw error;
      onSilence();
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
  }
}
