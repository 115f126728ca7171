import type { ReactNode } from "react";
import { NewLinked } from "./NewLinked";
import { NewLinkedContext } from "./NewLinkedContext";

/** A view in whose links new records can be made. */
export const WithNewLinked = ({ children }: { children: ReactNode }) => (
  <NewLinkedContext.Provider value={NewLinked}>{children}</NewLinkedContext.Provider>
);
