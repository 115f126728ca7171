import { createContext } from "react";
import type { Script } from "../../api/client";

/** The records that a trial brings along: its links find only them. Null over the real ones. */
export const OwnRecordsContext = createContext<Script["records"] | null>(null);
