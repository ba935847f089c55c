import { type ReactNode, useEffect, useState } from "react";

interface FoldProps {
  readonly summary: ReactNode;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}

/** A fold; with scripts its content is drawn only while it is open. */
export function Fold({ summary, className, children }: FoldProps) {
  const [isDrawn, setDrawn] = useState(true);
  useEffect(() => setDrawn(false), []);
  return (
    <details className={className} onToggle={(event) => setDrawn(event.currentTarget.open)}>
      <summary>{summary}</summary>
      {isDrawn && children}
    </details>
  );
}
