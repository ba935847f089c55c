import "@mantine/core/styles/Loader.layer.css";
import "@mantine/core/styles/Slider.layer.css";
import { Button, Loader } from "@mantine/core";
import type { Counterweight, DesignedBlend } from "@tensidrum/core/design";
import { shownMaterial, wholeMaterial } from "@tensidrum/core/library";
import { useEffect, useMemo, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Frontier } from "../../pictures/Frontier/Frontier";
import { Chosen } from "./Chosen";
import type { OpenDesigner } from "./designer.server";
import classes from "./Designer.module.css";
import { blendWords, cutWords, leftOutWords, mendWords } from "./designWords";
import { fixesOfOpen } from "./fixesOfSheet";
import { progressWords } from "./progressWords";
import { TakeBlend } from "./TakeBlend";
import { useDesign, type Designing } from "./useDesign";
import { Wishes } from "./Wishes";
import { wishesOf, withWish } from "./wishesOf";

/** Blends found by computation for a sheet: the wishes, the edge of what can be made, and one of its blends. */
export function DesignerPage({ open }: { readonly open: OpenDesigner }) {
  const [loaded, setShown] = useSearchParams();
  // What is clicked stands at once; the address follows.
  const [address, setHeld] = useState(loaded);
  const setAddress = (changed: URLSearchParams): void => {
    setPicked(null);
    setHeld(changed);
    setShown(changed, { replace: true, preventScrollReset: true });
  };
  const materials = useMemo(() => open.materials.map(wholeMaterial), [open.materials]);
  const wishes = useMemo(() => wishesOf(address, open.usual), [address, open.usual]);
  const { designing, askWhy, stop } = useDesign(open, materials, wishes);
  const { state, robust, mends, refused, why } = designing;
  const [picked, setPicked] = useState<number | null>(null);
  const [compared, setCompared] = useState<DesignedBlend | null>(null);
  const blends = useMemo(() => state?.blends ?? [], [state]);
  // Until a hand is on one, the best bargain is shown; of a fix the least change.
  const first = wishes.against === "change" ? 0 : (state?.corners?.knee ?? 0);
  const chosen = Math.min(picked ?? first, Math.max(0, blends.length - 1));
  const blend = blends[chosen] ?? null;
  const isOver = state?.isOver === true && !designing.isStale;
  useEffect(() => {
    if (isOver && blend !== null) askWhy(chosen);
  }, [isOver, blend, chosen, askWhy]);

  const fixes = useMemo(() => fixesOfOpen(open), [open]);
  const names = useMemo(() => new Map(materials.map((material) => [material.slug, shownMaterial(material).name])), [materials]);
  const charges = useMemo(() => new Map(materials.map(({ slug, charge }) => [slug, charge])), [materials]);
  const nameOf = (slug: string): string => names.get(slug) ?? slug;
  const money = open.currency === "" ? "" : ` ${open.currency}`;
  const byCost = wishes.against === "cost";
  const hasCost = open.usual.against === "cost";
  const wish = (key: string, value: string | number | null | readonly string[]): void => {
    setAddress(withWish(address, key, value));
  };
  const drops = blends.map((one, at) => ({
    ...{ along: alongOf(wishes.against, one), irritation: one.irritation, foam: one.flash, isFull: one.answersToSalt },
    clarity: one.clarity,
    ...{ words: blendWords(one, nameOf, money), name: cornerName(state?.corners ?? null, at, wishes.against) },
  }));
  const marks = open.marks.map(({ label, irritation, flash, cost, change }) => ({
    ...{ label, irritation, foam: flash, along: { cost, foam: flash, change }[wishes.against] },
  }));
  return (
    <Frame
      head={<PageHeader>A blend for {open.name}</PageHeader>}
      doors={<Link to={`/sheet/${open.formulaId}/${open.number}`}>Back to the Sheet</Link>}
      line={
        <StationNav
          stations={stationsSeenFrom("sheet", {
            to: `/sheet/${open.formulaId}/${open.number}`,
            state: "looking for a blend",
            isAlarm: false,
          })}
        />
      }
    >
      <title>{`A blend for ${open.name}, Tensidrum`}</title>
      <div className={classes.page}>
        <Wishes open={open} wishes={wishes} fixes={fixes} onWish={wish} onFix={(query) => setAddress(new URLSearchParams(query))} />
        <section className={classes.found} aria-labelledby="found-head">
          <header className={classes.head}>
            <h2 id="found-head">What can be made</h2>
            <EstimateMark of="irritation" />
            {!isOver && !designing.isStopped && refused === null && (
              <>
                <Loader size="sm" aria-hidden="true" />
                {state !== null && !designing.isStale && (
                  <Button variant="default" h={36} onClick={stop}>
                    Stop here
                  </Button>
                )}
              </>
            )}
          </header>
          {refused !== null && (
            <FormError>
              {refused.message} {refused.remedy}
            </FormError>
          )}
          <p className={classes.told} role="status">
            {progressWords(designing)}
          </p>
          {blend === null ? (
            isOver && (
              <div>
                <p className={classes.sentence}>No blend keeps all of this.</p>
                {mends === null ? (
                  <p className={classes.told}>
                    <Loader size="sm" /> Looking for the smallest change that would help.
                  </p>
                ) : mends.length === 0 ? (
                  <p className={classes.told}>
                    No single change of the wishes helps. Take more than one of them back, or look in the whole library.
                  </p>
                ) : (
                  <ul className={classes.mends} aria-label="What would help">
                    {mends.map((mend) => (
                      <li key={mendWords(mend, nameOf)}>
                        <Button variant="subtle" h={36} onClick={() => setAddress(mended(address, mend, wishes.mustHave))}>
                          {mendWords(mend, nameOf)}
                        </Button>
                      </li>
                    ))}
                  </ul>
                )}
              </div>
            )
          ) : (
            <>
              <Frontier
                blends={drops}
                marks={marks}
                alongWords={
                  byCost ? `cost of 100 g${money}` : wishes.against === "foam" ? "initial foam, of 10" : "change of active matter, %"
                }
                isMoreBetter={wishes.against === "foam"}
                chosen={chosen}
                held={compared === null ? null : indexOf(blends, compared)}
                onChoose={setPicked}
              />
              {state?.corners != null && (
                <nav className={classes.corners} aria-label="Blends with a name">
                  {cornerList(state.corners, wishes.against, hasCost).map(({ name, at }) => (
                    <Button key={name} variant={at === chosen ? "filled" : "default"} h={36} onClick={() => setPicked(at)}>
                      {name}
                    </Button>
                  ))}
                </nav>
              )}
              <Chosen
                blend={blend}
                held={compared}
                robust={robust?.[chosen] ?? null}
                why={why?.at === chosen ? why : null}
                nameOf={nameOf}
                chargeOf={(slug) => charges.get(slug) ?? null}
                money={money}
                hasCost={hasCost}
                isHeld={compared !== null && indexOf(blends, compared) === chosen}
                onHold={() => setCompared(compared !== null && indexOf(blends, compared) === chosen ? null : blend)}
              />
              <p className={classes.told}>
                Irritation, foam and clarity are estimates to rank blends by. Thickness and feel are not in them: make a small batch and
                look at it the next day.
              </p>
              <TakeBlend open={open} blend={blend} nameOf={nameOf} preservative={wishes.preservative} />
            </>
          )}
          {state !== null && <NotLookedAt state={state} nameOf={nameOf} unpriced={byCost ? state.unpriced : []} />}
        </section>
      </div>
    </Frame>
  );
}

type State = NonNullable<Designing["state"]>;

function alongOf(against: Counterweight, { cost, flash, changePercent }: DesignedBlend): number {
  return { cost: cost ?? 0, foam: flash, change: changePercent }[against];
}

const indexOf = (blends: readonly DesignedBlend[], one: DesignedBlend): number =>
  blends.findIndex(({ irritation, cost }) => irritation === one.irritation && cost === one.cost);

const firstNames: Readonly<Record<Counterweight, string>> = { cost: "cheapest", foam: "best foam", change: "least change" };

function cornerList({ mildest, knee, cheapest, mostFoam }: NonNullable<State["corners"]>, against: Counterweight, hasCost: boolean) {
  return [
    { name: firstNames[against], at: 0 },
    { name: "best bargain", at: knee },
    { name: "mildest", at: mildest },
    ...(hasCost && against !== "cost" ? [{ name: "cheapest", at: cheapest }] : []),
    ...(against !== "foam" ? [{ name: "best foam", at: mostFoam }] : []),
  ];
}

/** The name of a drop in the picture: its two ends and the bargain between them. */
function cornerName(corners: State["corners"], at: number, against: Counterweight): string {
  if (corners === null) return "";
  if (at === 0) return firstNames[against];
  return at === corners.mildest ? "mildest" : at === corners.knee ? "best bargain" : "";
}

/** The address with what would help. */
function mended(address: URLSearchParams, mend: NonNullable<Designing["mends"]>[number], mustHave: readonly string[]): URLSearchParams {
  switch (mend.kind) {
    case "number":
      return withWish(address, mend.wish, mend.to);
    case "thickening":
      return withWish(address, "thickening", "any");
    case "must-have":
      return withWish(
        address,
        "must",
        mustHave.filter((slug) => slug !== mend.material),
      );
    case "count":
      return withWish(address, "countHigh", mend.to);
    case "active":
      return withWish(withWish(address, "activeLow", mend.low), "activeHigh", mend.high);
  }
}

/** What was left out before anything was computed, and why. */
function NotLookedAt({
  state,
  nameOf,
  unpriced,
}: {
  readonly state: State;
  readonly nameOf: (slug: string) => string;
  readonly unpriced: readonly string[];
}) {
  const { leftOut, cuts } = state;
  const reasons = [...new Set(leftOut.map(({ reason }) => reason))];
  const cutRows = (Object.keys(cutWords) as (keyof typeof cutWords)[]).filter((key) => cuts[key] > 0);
  if (reasons.length === 0 && cutRows.length === 0 && unpriced.length === 0) return null;
  return (
    <Fold summary="What was not looked at">
      <ul>
        {reasons.map((reason) => {
          const own = leftOut.filter((one) => one.reason === reason);
          return (
            <li key={reason}>
              {own.length} {own.length === 1 ? "surfactant" : "surfactants"}: {leftOutWords[reason]}
              {own.length <= 6 && ` (${own.map(({ material }) => nameOf(material)).join(", ")})`}
            </li>
          );
        })}
        {cutRows.map((key) => (
          <li key={key}>
            {cuts[key].toLocaleString("en-GB")} choices {cutWords[key]}
          </li>
        ))}
        {unpriced.length > 0 && <li>The cost is too low by what these cost: {unpriced.map(nameOf).join(", ")}.</li>}
      </ul>
    </Fold>
  );
}
