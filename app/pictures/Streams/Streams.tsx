import { useId } from "react";
import { STREAMS, streamsGeometry, type StreamStep, type StreamVessel } from "./geometry";
import classes from "./Streams.module.css";

interface StreamsProps {
  readonly steps: readonly (StreamStep & { readonly title: string; readonly state: "open" | "done" | "skipped" })[];
  readonly vessels: readonly StreamVessel[];
  readonly currentId: string | null;
  /** Without the names of the steps, for a list of batches. */
  readonly isSmall?: boolean;
  /** Without the names of the steps, as large as with them: the page names them beside it. */
  readonly isBare?: boolean;
}

/** Beakers as streams that merge downwards beside the steps; the current step is lit, what is through is filled. */
export function Streams({ steps, vessels, currentId, isSmall = false, isBare = false }: StreamsProps) {
  const through = useId();
  const { height, strands, rows } = streamsGeometry(steps, vessels);
  const at = steps.findIndex(({ id }) => id === currentId);
  const current = rows.get(currentId ?? "");
  const throughCount = steps.filter(({ state }) => state !== "open").length;
  const joins = strands.map(({ name }) => name).join(", ");
  const contents = steps.filter(({ content }) => content !== null && content > 0);
  const label = `${throughCount} of ${steps.length} steps are through${at === -1 ? "" : `, the next is ${steps[at]?.title ?? ""}`}. ${joins} run together${contents.length === 0 ? "" : ` to ${Math.round(contents.at(-1)?.content ?? 0)} g`}.`;
  return (
    <div className={isSmall ? classes.small : isBare ? undefined : classes.streams}>
      {!isSmall && !isBare && (
        <ol className={classes.steps} style={{ paddingTop: STREAMS.pad }}>
          {steps.map(({ id, title, state }, index) => (
            <li key={id} data-state={state} data-current={id === currentId || undefined} style={{ height: STREAMS.row }}>
              <span className={classes.number}>{index + 1}</span>
              <span className={classes.title}>
                {title}
                <span className="only-for-readers">{state === "open" ? "" : `, ${state}`}</span>
              </span>
            </li>
          ))}
        </ol>
      )}
      <svg className={classes.picture} viewBox={`0 0 ${STREAMS.width} ${height}`} role="img" aria-label={label}>
        {strands.map(({ vessel, path }) => (
          <path key={vessel} className={classes.toCome} d={path} />
        ))}
        {current !== undefined && (
          <clipPath id={through}>
            <rect x={0} y={0} width={STREAMS.width} height={current.y} />
          </clipPath>
        )}
        <g clipPath={current === undefined ? undefined : `url(#${through})`}>
          {strands.map(({ vessel, path }) => (
            <path key={vessel} className={classes.strand} d={path} />
          ))}
        </g>
        {current !== undefined && (
          <path
            className={classes.band}
            d={`M-2 ${current.y - STREAMS.row / 2}H${STREAMS.width}M-2 ${current.y + STREAMS.row / 2}H${STREAMS.width}`}
          />
        )}
        {steps.map(({ id, state }) => {
          const row = rows.get(id);
          return row?.x == null ? null : <circle key={id} className={classes.dot} data-state={state} cx={row.x} cy={row.y} r={4} />;
        })}
        {strands.map(({ vessel, name, x, top }) => (
          <text key={vessel} className={classes.name} x={x} y={top - 21} textAnchor="middle">
            {name.replace(/ beaker$/, "").replace(/^beaker of "(.*)"$/, "$1")}
          </text>
        ))}
      </svg>
    </div>
  );
}
