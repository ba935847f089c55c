import { Progress } from "@mantine/core";
import { useEffect, useState } from "react";
import classes from "./ImportPage.module.css";
import type { ImportProgress } from "./progress.server";

const EVERY_MILLISECONDS = 200;

/** How far an import has got; while the rows are read there is no number yet. */
export function ImportBar({ job }: { readonly job: string }) {
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    const ask = () =>
      fetch(`/shelf/import/progress?job=${job}`, { signal: gone.signal })
        .then(async (response) => setProgress((await response.json()) as ImportProgress | null))
        // The import goes on without its bar.
        .catch(() => undefined);
    const timer = setInterval(() => void ask(), EVERY_MILLISECONDS);
    return () => {
      clearInterval(timer);
      gone.abort();
    };
  }, [job]);
  const words = progress === null ? "reading the rows" : `${progress.done} of ${progress.total}`;
  return (
    <div className={classes.bar} role="status">
      <Progress
        aria-label="Import"
        value={progress === null ? 100 : (100 * progress.done) / Math.max(1, progress.total)}
        striped={progress === null}
        animated={progress === null}
      />
      {words}
    </div>
  );
}
