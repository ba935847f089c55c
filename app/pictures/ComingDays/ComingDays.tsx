import { useElementSize } from "@mantine/hooks";
import { comingGeometry, HEAD_HEIGHT, type ComingAsk } from "./geometry";
import classes from "./ComingDays.module.css";

interface ComingDaysProps extends Omit<ComingAsk, "width"> {
  /** What time it is, in words. */
  readonly clock: string;
}

/** Until the page knows its width, px. */
const USUAL_WIDTH = 860;

/** The coming days as lines: what rests until when, and what falls on which day. */
export function ComingDays({ clock, ...ask }: ComingDaysProps) {
  const { ref, width: seen } = useElementSize();
  const { width, height, ticks, hours, rows } = comingGeometry({ ...ask, width: seen === 0 ? USUAL_WIDTH : seen });
  const told = ask.rows
    .filter(({ events }) => events.length > 0)
    .map(({ name, events }) => `${name}: ${events.map(({ words, detail }) => `${words} ${detail}`).join(", ")}`)
    .join(". ");
  return (
    <div ref={ref} className={classes.room}>
      <svg
        className={classes.days}
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`The coming days. ${told}.`}
      >
        <text className={classes.today} x="0" y="12">
          today
        </text>
        <text className={classes.clock} x="0" y="28">
          {clock}
        </text>
        <line className={classes.now} x1="0.75" x2="0.75" y1={HEAD_HEIGHT - 2} y2={height} />
        {hours.map(({ x, name }) => (
          <text key={name} className={classes.hour} x={x} y="28" textAnchor="middle">
            {name}
          </text>
        ))}
        {ticks.map(({ x, name }) => (
          <g key={name}>
            <line className={classes.tick} x1={x} x2={x} y1="0" y2={height} />
            <text className={classes.day} x={x + 6} y="12">
              {name}
            </text>
          </g>
        ))}
        {rows.map(({ key, y, rest, labels }) => (
          <g key={key}>
            <line className={classes.row} x1="0" x2={width} y1={y} y2={y} />
            {rest !== null && <line className={classes.rest} x1="0" x2={rest} y1={y} y2={y} />}
            {labels.map(({ key: label, mark, x, words, detail, to, isEnd, isLate, others }) => (
              <a key={label} href={to} aria-label={`${words}, ${detail}`} className={classes.label} data-late={isLate || undefined}>
                <path
                  className={classes.mark}
                  d={`M${mark} ${y - 5}V${y + 4}M${mark - 6} ${y + 4}H${mark + 6}V${y + 18}L${mark} ${y + 25}L${mark - 6} ${y + 18}Z`}
                />
                {others.map((other) => (
                  <line key={other.key} className={classes.other} x1={other.x} x2={other.x} y1={y - 5} y2={y + 5} />
                ))}
                <text x={x} y={y + 18} textAnchor={isEnd ? "end" : "start"}>
                  {words}
                </text>
                <text className={classes.detail} x={x} y={y + 34} textAnchor={isEnd ? "end" : "start"}>
                  {detail}
                </text>
              </a>
            ))}
          </g>
        ))}
      </svg>
    </div>
  );
}
