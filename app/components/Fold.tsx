import { type ReactNode, useEffect, useState } from "react";

interface FoldProps {
  readonly summary: ReactNode;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}

/** Whether this browser runs our scripts: known once a first page is drawn by them. */
let isScripted = false;

/** A fold; with scripts its content is drawn only while it is open. */
export function Fold({ summary, className, children }: FoldProps) {
  const [isDrawn, setDrawn] = useState(!isScripted);
  useEffect(() => {
    isScripted = true;
    setDrawn(false);
  }, []);
  return (
    <details className={className} onToggle={(event) => setDrawn(event.currentTarget.open)}>
      <summary>{summary}</summary>
      {isDrawn && children}
    </details>
  );
}
