import { Group } from "@mantine/core";
import { Link } from "react-router";

interface PartLinksProps {
  /** What is listed, as "batches". */
  readonly of: string;
  /** Address of the newest part; null where that is what is shown. */
  readonly newest: string | null;
  /** Address of the next older part; null where there is none. */
  readonly older: string | null;
}

/** The way on in a list that is told in parts, the newest first. */
export function PartLinks({ of, newest, older }: PartLinksProps) {
  if (newest === null && older === null) return null;
  return (
    <Group component="nav" gap="xl" py="md" aria-label={`More ${of}`}>
      {newest !== null && <Link to={newest}>Newest {of}</Link>}
      {older !== null && <Link to={older}>Older {of}</Link>}
    </Group>
  );
}
