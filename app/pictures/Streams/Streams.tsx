import { STREAMS, streamsGeometry, type StreamStep, type StreamVessel } from "./geometry";
import classes from "./Streams.module.css";

interface StreamsProps {
  readonly steps: readonly (StreamStep & { readonly title: string; readonly state: "open" | "done" | "skipped" })[];
  readonly vessels: readonly StreamVessel[];
  readonly currentId: string | null;
}

/** Beakers as streams that merge downwards; the current step is lit, what is through is filled. */
export function Streams({ steps, vessels, currentId }: StreamsProps) {
  const { height, strands, rows } = streamsGeometry(steps, vessels);
  const current = currentId === null ? undefined : rows.get(currentId);
  const through = steps.filter(({ state }) => state !== "open").length;
  const label = `${through} of ${steps.length} steps are through. ${strands.map(({ name }) => name).join(", ")} run together.`;
  return (
    <svg className={classes.streams} viewBox={`0 0 ${STREAMS.width} ${height}`} role="img" aria-label={label}>
      {current !== undefined && (
        <rect className={classes.band} x={0} y={current.y - STREAMS.row / 2} width={STREAMS.width} height={STREAMS.row} />
      )}
      {strands.map(({ vessel, path }) => (
        <path key={vessel} className={classes.strand} d={path} />
      ))}
      {steps.map(({ id, state }) => {
        const row = rows.get(id);
        return row?.x == null ? null : <circle key={id} className={classes.dot} data-state={state} cx={row.x} cy={row.y} r={4} />;
      })}
      {strands.map(({ vessel, name, x, top }) => (
        <text key={vessel} className={classes.name} x={x} y={top - 15} textAnchor="middle">
          {name}
        </text>
      ))}
    </svg>
  );
}
