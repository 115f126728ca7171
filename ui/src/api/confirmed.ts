import { api, data, ProblemError } from "./client";

type Asker = () => Promise<string | null>;

let ask: Asker = async () => null;

/** Whoever shows the question for the password takes it on. */
export const onPasswordAsked = (asker: Asker) => {
  ask = asker;
};

/** What the dialog tells when the password is right, or why it is not. */
export const confirmPassword = (password: string) => data(api.POST("/api/session/confirm", { body: { password } }));

/** A call that may want the password once more: it is asked for, and the call made again. */
export async function confirmed<T>(call: () => Promise<T>): Promise<T> {
  try {
    return await call();
  } catch (error) {
    if (!(error instanceof ProblemError) || error.problem.code !== "confirm" || (await ask()) === null) throw error;
    return call();
  }
}
