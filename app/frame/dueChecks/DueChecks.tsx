import { Group, Text, UnstyledButton } from "@mantine/core";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import quiet from "../../components/quiet.module.css";
import { notify } from "../notify";
import { newlyDue, type DueCheck } from "./newlyDue";

const AGAIN_MILLISECONDS = 10 * 60_000;

/** Tells of checks that become due while the page is open, also in another window where that was allowed. */
export function DueChecks() {
  const before = useRef<ReadonlySet<string> | null>(null);
  const [told, setTold] = useState<readonly DueCheck[]>([]);
  const [mayNotify, setMayNotify] = useState<NotificationPermission | "unknown">("unknown");
  useEffect(() => {
    if ("Notification" in window) setMayNotify(Notification.permission);
    const look = async (): Promise<void> => {
      const answer = await fetch("/watch/due.json").catch(() => null);
      if (answer?.ok !== true) return;
      const { due } = (await answer.json()) as { readonly due: readonly DueCheck[] };
      const news = newlyDue(before.current, due);
      before.current = new Set([...(before.current ?? []), ...due.map(({ id }) => id)]);
      if (news.length === 0) return;
      setTold((now) => [...now, ...news]);
      for (const { id, words } of news) notify(`To look at: ${words}`, id);
    };
    void look();
    const timer = setInterval(() => void look(), AGAIN_MILLISECONDS);
    return () => clearInterval(timer);
  }, []);
  return (
    <>
      {told.length > 0 && (
        <Text m="0 0 12px" fw={650} role="status">
          Due now:{" "}
          {told.map(({ id, batchId, storage, words }, at) => (
            <span key={id}>
              {at > 0 && "; "}
              <Link to={`/watch/${batchId}?sample=${storage}`}>{words}</Link>
            </span>
          ))}
        </Text>
      )}
      {mayNotify === "default" && (
        <Group mt="md">
          <UnstyledButton type="button" className={quiet.quiet} onClick={() => void Notification.requestPermission().then(setMayNotify)}>
            tell me of checks in other windows too
          </UnstyledButton>
        </Group>
      )}
    </>
  );
}
