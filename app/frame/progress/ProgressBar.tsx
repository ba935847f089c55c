import { Group, Progress } from "@mantine/core";
import { useEffect, useState } from "react";
import type { JobProgress } from "./progress.server";

const EVERY_MILLISECONDS = 200;

interface ProgressBarProps {
  readonly job: string;
  /** As "Import". */
  readonly label: string;
  /** What is done before there is a number to count to. */
  readonly first: string;
}

/** How far a long job of the server has got. */
export function ProgressBar({ job, label, first }: ProgressBarProps) {
  const [progress, setProgress] = useState<JobProgress | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    const ask = () =>
      fetch(`/progress?job=${job}`, { signal: gone.signal })
        .then(async (response) => setProgress((await response.json()) as JobProgress | null))
        // The job goes on without its bar.
        .catch(() => undefined);
    const timer = setInterval(() => void ask(), EVERY_MILLISECONDS);
    return () => {
      clearInterval(timer);
      gone.abort();
    };
  }, [job]);
  const words = progress === null ? first : `${progress.done.toLocaleString("en-GB")} of ${progress.total.toLocaleString("en-GB")}`;
  return (
    <Group role="status" gap={10}>
      <Progress
        w={180}
        aria-label={label}
        value={progress === null ? 100 : (100 * progress.done) / Math.max(1, progress.total)}
        striped={progress === null}
        animated={progress === null}
      />
      {words}
    </Group>
  );
}
