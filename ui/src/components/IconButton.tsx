import type { ReactNode } from "react";

type Props = {
  name: string;
  disabled?: boolean;
  /** Whether Tab passes it over. */
  passed?: boolean;
  onClick: () => void;
  children: ReactNode;
};

/** A small button of one sign, with its name for whoever points at it or can't see it. */
export function IconButton({ name, disabled, passed, onClick, children }: Props) {
  return (
    <button
      type="button"
      tabIndex={passed ? -1 : undefined}
      className="btn btn-ghost btn-xs btn-square"
      title={name}
      aria-label={name}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
