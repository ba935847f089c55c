import { shareSign, SHARES, sharesGeometry, type SharesRow } from "./geometry";
import classes from "./Shares.module.css";

interface SharesProps {
  readonly rows: readonly SharesRow[];
  /** Every key in the order it is drawn; its sign is the letter of its place. */
  readonly keys: readonly string[];
  /** The whole picture in a sentence. */
  readonly label: string;
}

/** Bars cut into shares; each part carries the letter it has in the table beside. */
export function Shares({ rows, keys, label }: SharesProps) {
  const { height, bars } = sharesGeometry(rows, keys);
  return (
    <svg className={classes.shares} viewBox={`0 0 ${SHARES.left + SHARES.width + 2} ${height + 2}`} role="img" aria-label={label}>
      {bars.map(({ name, y, parts }) => (
        <g key={name} transform={`translate(1 ${y + 1})`}>
          <text className={classes.name} x={0} y={SHARES.bar / 2 + 5}>
            {name}
          </text>
          {parts.map(({ key, x, width, isNamed }) => {
            const at = keys.indexOf(key);
            return (
              <g key={key} transform={`translate(${SHARES.left + x} 0)`}>
                <rect className={classes.part} data-shade={at % 3} width={width} height={SHARES.bar} />
                {isNamed && (
                  <text className={classes.sign} x={width / 2} y={SHARES.bar / 2 + 5} textAnchor="middle">
                    {shareSign(at)}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      ))}
    </svg>
  );
}
