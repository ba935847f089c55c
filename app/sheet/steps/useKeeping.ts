import type { OwnProcess } from "@tensidrum/core/formula";
import { useState } from "react";

/** Sends the steps to be kept; those that are as suggested are kept as none of one's own. What stands on the page stays there whatever the answer is, or if none comes. */
export function useKeeping(address: string, begun: OwnProcess, begunSuggested: boolean) {
  const [keptProcess, setKept] = useState(begun);
  const [wasSuggested, setWasSuggested] = useState(begunSuggested);
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = async (process: OwnProcess, isSuggested: boolean): Promise<void> => {
    setBusy(true);
    const said = await sent(address, isSuggested ? null : process);
    setBusy(false);
    setProblem(said);
    if (said !== null) return;
    setKept(process);
    setWasSuggested(isSuggested);
  };
  return { keptProcess, wasSuggested, isBusy, problem, keep };
}

/** Why they were not kept; null where they were. */
async function sent(address: string, process: OwnProcess | null): Promise<string | null> {
  try {
    const response = await fetch(address, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ process }),
    });
    if (!response.ok) return "The steps were not kept: the server did not take them. They are still here; try again.";
    return ((await response.json()) as { readonly problem: string | null }).problem;
  } catch {
    return "The server cannot be reached. Your steps are still here; keep them again once it is back.";
  }
}
