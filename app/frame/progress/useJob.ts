import { useEffect, useState } from "react";

/** A page's name for its long job; without scripts there is none, and no bar. */
export function useJob(): string {
  const [job, setJob] = useState("");
  useEffect(() => setJob(crypto.randomUUID()), []);
  return job;
}
