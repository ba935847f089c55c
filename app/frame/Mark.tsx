import { memo } from "react";
const TAILS = Array.from({ length: 7 }, (_, index) => {
  const angle = (index / 7) * 2 * Math.PI - Math.PI / 2;
  const at = (radius: number) => [13 + radius * Math.cos(angle), 13 + radius * Math.sin(angle)] as const;
  return { root: at(2.6), neck: at(7.4), head: at(9.6) };
});

/** The house mark: seven surfactants round nothing, heads out. */
export const Mark = memo(function Mark() {
  return (
    <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true" fill="none" stroke="var(--water)">
      {TAILS.map(({ root, neck, head }, index) => (
        <g key={index} strokeWidth="1.6" strokeLinecap="round">
          <line x1={root[0]} y1={root[1]} x2={neck[0]} y2={neck[1]} />
          <circle cx={head[0]} cy={head[1]} r="2.2" fill={index === 2 ? "var(--water)" : "none"} />
        </g>
      ))}
    </svg>
  );
});
