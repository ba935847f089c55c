import { writtenMass, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { ChargeTag } from "../components/ChargeSign";
import { chargeWords } from "../components/chargeWords";
import { Frame } from "../frame/Frame";
import { shelfPegs } from "./shelfPegs";
import { WashLine } from "../frame/washLine/WashLine";
import { doseScale } from "../pictures/Strip/geometry";
import { Strip } from "../pictures/Strip/Strip";
import { Vessel } from "../pictures/Vessel/Vessel";
import type { TypedMovement } from "./forms.server";
import { Lots } from "./Lots";
import classes from "./MaterialPage.module.css";
import type { OpenMaterial } from "./openMaterial.server";
import shelf from "./Shelf.module.css";

interface MaterialPageProps {
  readonly material: OpenMaterial;
  readonly answered: { readonly problem: string; readonly typed: TypedMovement } | null;
}

/** One material: what is left of it, its facts and how sure they are, its lots, and where it is. */
export function MaterialPage({ material, answered }: MaterialPageProps) {
  const { name, charge, form, role, facts, leftGrams, packGrams } = material;
  return (
    <Frame
      head={
        <>
          <h1 className={shelf.head}>{name}</h1>
          <span className={shelf.day}>
            {charge !== null && <ChargeTag charge={charge} />}{" "}
            {[charge === null ? role : chargeWords[charge].name, form].filter(Boolean).join(", ")}
          </span>
        </>
      }
      doors={
        <Link to={`/shelf/receive?material=${material.slug}`} className={shelf.receive} data-act="Receive a lot" data-key="r">
          Receive a lot
        </Link>
      }
      line={<WashLine pegs={shelfPegs("all that stands")} />}
    >
      <title>{`${name}, Tensidrum`}</title>
      <div className={classes.page}>
        <div className={classes.left}>
          <Vessel {...material} packGrams={Math.max(packGrams, 1)} leftGrams={leftGrams} />
          <p className={classes.hero}>
            <output>{writtenMass(leftGrams)}</output> left
          </p>
          <p className={classes.inci}>{material.inci}</p>
          <p>{material.handling}</p>
          <Mind material={material} />
        </div>
        <div>
          <section aria-labelledby="facts-head">
            <h2 id="facts-head">Facts, and how sure</h2>
            <table className={classes.facts}>
              <tbody>
                {facts.map((fact) => (
                  <tr key={fact.name}>
                    <th scope="row">{fact.name}</th>
                    <td>{fact.value}</td>
                    <td className={classes.range}>{fact.range}</td>
                    <td className={classes.source} data-source={fact.source}>
                      {fact.source}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <Ranges material={material} />
          <Uses material={material} />
        </div>
        <Lots material={material} answered={answered} />
      </div>
    </Frame>
  );
}

function Mind({ material: { caution, restrictions, flags } }: { readonly material: OpenMaterial }) {
  if (caution === null && restrictions.length === 0 && flags.length === 0) return null;
  return (
    <section aria-labelledby="mind-head">
      <h2 id="mind-head">Mind</h2>
      {caution !== null && (
        <p>
          <strong>Caution.</strong> {caution}
        </p>
      )}
      {restrictions.map((restriction) => (
        <p key={restriction}>
          <strong>Law.</strong> {restriction}
        </p>
      ))}
      {flags.length > 0 && <p className={classes.flags}>{flags.map((flag) => flag.replaceAll("-", " ")).join(", ")}</p>}
    </section>
  );
}

const PH_SCALE = { low: 0, high: 14 };

function Ranges({ material: { phStable, phSupplied, use, uses } }: { readonly material: OpenMaterial }) {
  const doses = uses.flatMap(({ percent }) => (percent === null ? [] : [percent]));
  const span = (low: number, high: number) => `${writtenShort(low, 2)} to ${writtenShort(high, 2)}`;
  return (
    <>
      {(phStable !== null || phSupplied !== null) && (
        <section aria-labelledby="ph-head">
          <h2 id="ph-head">pH it bears</h2>
          <Strip
            scale={PH_SCALE}
            range={phStable}
            frame={phSupplied}
            dots={[]}
            steps={7}
            label={`${phStable === null ? "What it bears is not known" : `Bears pH ${span(phStable.low, phStable.high)}`}${phSupplied === null ? "" : `; as supplied ${span(phSupplied.low, phSupplied.high)}`}.`}
          />
          <p className={classes.words}>
            {phStable === null ? "What it bears is not known. " : `Whole from pH ${span(phStable.low, phStable.high)}. `}
            {phSupplied !== null && `The frame is how it is supplied: ${span(phSupplied.low, phSupplied.high)}, ${phSupplied.at}.`}
          </p>
        </section>
      )}
      {use !== null && (
        <section aria-labelledby="dose-head">
          <h2 id="dose-head">Dose</h2>
          <Strip
            scale={doseScale([use.high, ...doses])}
            range={use}
            frame={null}
            dots={doses}
            steps={5}
            label={`Usual dose ${span(use.low, use.high)} %; your formulas have ${doses.length === 0 ? "none of it" : doses.map((dose) => `${writtenPercent(dose)} %`).join(", ")}.`}
          />
          <p className={classes.words}>Usual {span(use.low, use.high)} % as supplied. Dots are your formulas.</p>
        </section>
      )}
    </>
  );
}

function Uses({ material: { uses } }: { readonly material: OpenMaterial }) {
  return (
    <section aria-labelledby="uses-head">
      <h2 id="uses-head">Where it is</h2>
      {uses.length === 0 && <p className={classes.words}>In none of your formulas.</p>}
      <table className={classes.facts}>
        <tbody>
          {uses.map((one) => (
            <tr key={one.formulaId}>
              <th scope="row">
                <Link to={`/sheet/${one.formulaId}`}>{one.name}</Link>
              </th>
              <td>v{one.number}</td>
              <td>{one.percent === null ? "the rest" : `${writtenPercent(one.percent)} %`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
