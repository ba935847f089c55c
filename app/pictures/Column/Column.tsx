import { writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { memo, useId, useMemo, useRef } from "react";
import { Fold } from "../../components/Fold";
import { PictureDownload } from "../../components/PictureDownload";
import { ChargeSign } from "../../components/ChargeSign";
import { chargeWords } from "../../components/chargeWords";
import classes from "./Column.module.css";
import { columnGeometry, neckScale, type BodyLayer, type ColumnData, type NeckBand } from "./geometry";
import { ChargeHatches, hatchId } from "./hatches";

interface ColumnProps extends ColumnData {
  readonly profileName: string;
}

const layerWords: Readonly<Record<BodyLayer["kind"], string>> = {
  rest: "water, q.s.",
  brought: "with the cleansers",
  care: "care",
  oils: "oils, solubiliser",
  scent: "scent",
  keep: "keep",
  acid: "acid or base",
  salt: "salt",
  body: "thickener",
  other: "colour",
  open: "still open",
};

const layerFill: Readonly<Record<Exclude<BodyLayer["kind"], "brought" | "open">, string>> = {
  rest: "var(--stratum-water)",
  care: "var(--stratum-care)",
  oils: "var(--stratum-plain)",
  scent: "var(--stratum-scent)",
  keep: "var(--stratum-keep)",
  acid: "var(--stratum-acid)",
  salt: "var(--glaze)",
  body: "var(--stratum-plain)",
  other: "var(--stratum-acid)",
};

/** The formula as a measuring bottle: active matter in the neck against the profile's window, the rest in the body. */
export const Column = memo(function Column({ profileName, actives, layers, window, openPercent }: ColumnProps) {
  const prefix = useId().replaceAll(":", "");
  const picture = useMemo(() => columnGeometry({ actives, layers, window, openPercent }), [actives, layers, window, openPercent]);
  const active = actives.reduce((sum, band) => sum + band.percent, 0);
  const { neck } = picture;
  const svg = useRef<SVGSVGElement>(null);
  const fillOf = (kind: BodyLayer["kind"]) => (kind === "open" || kind === "brought" ? `url(#${prefix}-${kind})` : layerFill[kind]);
  return (
    <figure className={classes.figure}>
      <svg
        ref={svg}
        className={classes.picture}
        viewBox={`0 0 ${picture.width} ${picture.height.toFixed(1)}`}
        width={picture.width}
        height={picture.height.toFixed(1)}
        role="img"
        aria-label={`Measuring bottle: ${writtenPercent(active)} % active matter; ${profileName} usually has ${writtenShort(window.low, 2)} to ${writtenShort(window.high, 2)} %.`}
      >
        <NeckScale prefix={prefix} maxPercent={neck.maxPercent} low={window.low} high={window.high} />
        {picture.layers.map((layer) => (
          <path key={layer.kind} d={layer.path} fill={fillOf(layer.kind)} />
        ))}
        {picture.bands.map((band) => (
          <rect
            key={band.charge}
            x={neck.left}
            width={neck.right - neck.left}
            y={band.y}
            height={band.height}
            fill={`url(#${hatchId(prefix, band.charge)})`}
          />
        ))}
        {active > 0 && (
          <path
            className={classes.meniscus}
            d={`M${neck.left} ${picture.meniscusY - 4}Q${(neck.left + neck.right) / 2} ${picture.meniscusY + 3} ${neck.right} ${picture.meniscusY - 4}`}
          />
        )}
        <path className={classes.glass} d={picture.glass} />
        {picture.bands.map((band) => (
          <BandLabel key={band.charge} band={band} x={neck.right} />
        ))}
        {picture.layers.map((layer) => (
          <LayerLabel key={layer.kind} layer={layer} centre={picture.centre} wall={picture.wall} />
        ))}
      </svg>
      <figcaption className={classes.caption}>drawn to area: equal area, equal percent</figcaption>
      <Fold className={classes.numbers} summary="as numbers">
        <table>
          <tbody>
            {actives
              .filter((band) => band.percent > 0)
              .map((band) => (
                <NumberRow key={band.charge} name={`${chargeWords[band.charge].name} active`} percent={writtenPercent(band.percent)} />
              ))}
            {picture.layers.toReversed().map((layer) => (
              <NumberRow key={layer.kind} name={layerWords[layer.kind]} percent={writtenPercent(layer.percent)} />
            ))}
          </tbody>
        </table>
      </Fold>
      <PictureDownload name="column" picture={svg} />
    </figure>
  );
});

const NumberRow = memo(function NumberRow({ name, percent }: { readonly name: string; readonly percent: string }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{percent} %</td>
    </tr>
  );
});

interface NeckScaleProps {
  readonly prefix: string;
  readonly maxPercent: number;
  readonly low: number;
  readonly high: number;
}

/** Hatches, ticks and the window's bracket: what stays while the liquid moves. */
const NeckScale = memo(function NeckScale({ prefix, maxPercent, low, high }: NeckScaleProps) {
  const { left, ticks, bracket } = neckScale(maxPercent, { low, high });
  return (
    <>
      <defs>
        <ChargeHatches prefix={prefix} />
      </defs>
      <rect className={classes.window} x={left - 46} width={46} y={bracket.top} height={Math.max(1, bracket.bottom - bracket.top)} />
      <path className={classes.bracket} d={`M${left - 40} ${bracket.top}h-6V${bracket.bottom}h6`} />
      <path className={classes.tick} d={ticks.map((tick) => `M${left - 2} ${tick.y}h${tick.isMajor ? -7 : -3}`).join("")} />
      {ticks
        .filter((tick) => tick.isMajor)
        .map((tick) => (
          <text key={tick.percent} className={classes.scale} x={left - 13} y={tick.y + 4} textAnchor="end">
            {writtenShort(tick.percent, 1)}
            {tick.percent === maxPercent ? " %" : ""}
          </text>
        ))}
    </>
  );
});

const SIGN_ROOM = 19;

function BandLabel({ band, x }: { readonly band: NeckBand; readonly x: number }) {
  const middle = band.y + band.height / 2;
  return (
    <g>
      {band.height >= SIGN_ROOM && <ChargeSign charge={band.charge} cx={x - 27} cy={middle} radius={9} />}
      <text className={classes.amount} x={x + 12} y={band.labelY + 1}>
        {writtenPercent(band.percent)}
      </text>
      <text className={classes.word} x={x + 12} y={band.labelY + 14}>
        {chargeWords[band.charge].name}
      </text>
      <line className={classes.leader} x1={x} x2={x + 9} y1={middle} y2={band.labelY} />
    </g>
  );
}

function LayerLabel({ layer, centre, wall }: { readonly layer: BodyLayer; readonly centre: number; readonly wall: number }) {
  if (layer.percent <= 0) return null;
  const middle = (layer.top + layer.bottom) / 2;
  if (layer.labelInside) {
    const isTall = layer.bottom - layer.top >= 44;
    return (
      <g textAnchor="middle">
        <text className={isTall ? classes.bigAmount : classes.amount} x={centre} y={layer.labelY + (isTall ? 2 : -1)}>
          {writtenPercent(layer.percent)}
        </text>
        <text className={classes.word} x={centre} y={layer.labelY + (isTall ? 17 : 11)}>
          {layerWords[layer.kind]}
        </text>
      </g>
    );
  }
  return (
    <g>
      <path className={classes.leader} d={`M${wall} ${middle.toFixed(1)}L${wall + 6} ${layer.labelY.toFixed(1)}`} />
      <text className={classes.word} x={wall + 8} y={layer.labelY + 4}>
        <tspan className={classes.small}>{writtenPercent(layer.percent)}</tspan> {shortWords(layer.kind)}
      </text>
    </g>
  );
}

/** Words that fit beside the glass. */
function shortWords(kind: BodyLayer["kind"]): string {
  if (kind === "acid") return "acid";
  if (kind === "oils") return "oil";
  if (kind === "body") return "thick";
  if (kind === "other") return "colour";
  return kind;
}
