import { createContext } from "react";

/** Where somebody can ask why a field holds what it holds: takes the field's key. Null where there is no trace. */
export const WhyContext = createContext<((field: string) => void) | null>(null);
