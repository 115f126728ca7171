/** The mark: a tack, point up, on its thread. */
export function Mark({ size = 18, className = "text-accent" }: { size?: number; className?: string }) {
  return (
    <svg width={size} height={size} viewBox="0 0 18 18" className={className} aria-hidden="true" focusable="false">
      <path d="M9 2v13M2.5 15h13" stroke="currentColor" strokeWidth="2" strokeLinecap="round" fill="none" />
    </svg>
  );
}
