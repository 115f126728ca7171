import { type ComponentType, createContext } from "react";

export type NewLinkedProps = {
  table: string;
  /** What was typed in the link, with which the new record's name begins. */
  name: string;
  onMade: (made: { id: number; title: string }) => void;
  onClose: () => void;
};

/**
 * The dialog for a new linked record. It has inputs of its own, links among them, so that an input can't name it
 * by itself.
 */
export const NewLinkedContext = createContext<ComponentType<NewLinkedProps> | null>(null);
