import { writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { Form, Link } from "react-router";
import { ChargeTag } from "../components/ChargeSign";
import { chargeWords } from "../components/chargeWords";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { useUnits } from "../frame/units";
import { shelfStations } from "./shelfStation";
import { StationNav } from "../frame/stationNav/StationNav";
import { doseScale } from "../pictures/Strip/geometry";
import { Strip } from "../pictures/Strip/Strip";
import { Vessel } from "../pictures/Vessel/Vessel";
import { ConfirmButton } from "../components/ConfirmButton";
import type { FormAnswer } from "../frame/formAnswer";
import type { TypedMovement } from "./forms.server";
import { Lots } from "./Lots";
import classes from "./MaterialPage.module.css";
import type { OpenMaterial } from "./openMaterial.server";
import shelf from "./Shelf.module.css";
import { DataTable } from "../components/DataTable";

interface MaterialPageProps {
  readonly material: OpenMaterial;
  readonly answered: FormAnswer<TypedMovement> | null;
}

/** One material: what is left of it, its facts and how sure they are, its lots, and where it is. */
export function MaterialPage({ material, answered }: MaterialPageProps) {
  const { name, charge, form, role, facts, leftGrams, packGrams } = material;
  const { mass } = useUnits();
  return (
    <Frame
      head={
        <PageHeader
          beside={
            <>
              {charge !== null && <ChargeTag charge={charge} />}{" "}
              {[charge === null ? role : chargeWords[charge].name, form].filter(Boolean).join(", ")}
            </>
          }
        >
          {name}
        </PageHeader>
      }
      doors={
        <>
          <Link to={`/shelf/${material.slug}/own`} data-act={material.isOwn ? "Change this material" : "Give your own facts"} data-key="o">
            {material.isOwn ? "Change it" : "Edit values"}
          </Link>
          <Link to={`/shelf/materials/compare?one=${material.slug}`} data-act="Lay it beside another" data-key="c">
            Side by side
          </Link>
          {material.isDissolvable && (
            <Link to={`/shelf/make/solution?of=${material.slug}`} data-act="Make a stock solution of it" data-key="s">
              Make a solution
            </Link>
          )}
          <Link to={`/shelf/receive?material=${material.slug}`} className={shelf.receive} data-act="Receive a lot" data-key="r">
            Receive a lot
          </Link>
        </>
      }
      line={<StationNav stations={shelfStations("all that stands")} />}
    >
      <title>{`${name}, Tensidrum`}</title>
      <div className={classes.page}>
        <div className={classes.left}>
          <Vessel {...material} packGrams={Math.max(packGrams, 1)} leftGrams={leftGrams} />
          <p className={classes.hero}>
            <output>{mass(leftGrams)}</output> left
          </p>
          <p className={classes.inci}>{material.inci}</p>
          {material.madeAs !== null && <p>{madeWords[material.madeAs]}</p>}
          <p>{material.handling}</p>
          <Mind material={material} />
        </div>
        <div>
          <section aria-labelledby="facts-head">
            <h2 id="facts-head">Facts, and how sure</h2>
            <DataTable className={classes.facts}>
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
            </DataTable>
          </section>
          <Yours material={material} />
          <Parts material={material} />
          <Ranges material={material} />
          <Uses material={material} />
        </div>
        <Lots material={material} answered={answered} />
      </div>
    </Frame>
  );
}

const madeWords: Readonly<Record<NonNullable<OpenMaterial["madeAs"]>, string>> = {
  solution: "A stock solution, made here.",
  water: "A water cooked here from a plant.",
  scent: "A scent blended here.",
  formula: "A formula of yours, stored as a material.",
  blend: "A blend of your own.",
};

/** What its maker holds against the library, fact by fact, and the way back. */
function Yours({ material: { slug, yours, yoursSince, isOwn, basedOn } }: { readonly material: OpenMaterial }) {
  if (isOwn) {
    return (
      <p className={classes.words}>
        A material of your own
        {basedOn !== null && (
          <>
            , begun from <Link to={`/shelf/${basedOn}`}>the library’s</Link>;{" "}
            <Link to={`/shelf/materials/compare?one=${basedOn}&other=${slug}`}>compare</Link>
          </>
        )}
        .
      </p>
    );
  }
  if (yours.length === 0) return null;
  return (
    <section aria-labelledby="mine-head">
      <h2 id="mine-head">My values{yoursSince !== null && `, ${yoursSince}`}</h2>
      <DataTable className={classes.facts}>
        <thead>
          <tr>
            <th scope="col">value</th>
            <th scope="col">the library</th>
            <th scope="col">mine</th>
          </tr>
        </thead>
        <tbody>
          {yours.map(({ name, library, mine }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className={classes.was}>{library}</td>
              <td className={classes.now}>{mine}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      <Form method="post" action={`/shelf/${slug}/own`}>
        <ConfirmButton
          name="intent"
          value="take-away"
          className={classes.undo}
          question="Reset to library values?"
          consequence="Your values of this material are lost. Final versions keep the values they were made with."
        >
          Reset to library values
        </ConfirmButton>
      </Form>
    </section>
  );
}

function Parts({ material: { parts } }: { readonly material: OpenMaterial }) {
  if (parts.length === 0) return null;
  return (
    <section aria-labelledby="parts-head">
      <h2 id="parts-head">Made of</h2>
      <DataTable className={classes.facts}>
        <tbody>
          {parts.map(({ slug, name, percent }) => (
            <tr key={slug}>
              <th scope="row">
                <Link to={`/shelf/${slug}`}>{name}</Link>
              </th>
              <td>{writtenPercent(percent)} %</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </section>
  );
}

function Mind({ material: { caution, restrictions, flags } }: { readonly material: OpenMaterial }) {
  if (caution === null && restrictions.length === 0 && flags.length === 0) return null;
  return (
    <section aria-labelledby="precautions-head">
      <h2 id="precautions-head">Precautions</h2>
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

function Ranges({ material: { phStable, phSupplied, use, doses } }: { readonly material: OpenMaterial }) {
  const span = (low: number, high: number) => `${writtenShort(low, 2)} to ${writtenShort(high, 2)}`;
  return (
    <>
      {(phStable !== null || phSupplied !== null) && (
        <section aria-labelledby="ph-head">
          <h2 id="ph-head">pH stability</h2>
          <Strip
            scale={PH_SCALE}
            range={phStable}
            frame={phSupplied}
            dots={[]}
            steps={7}
            label={`${phStable === null ? "pH stability not known" : `Stable at pH ${span(phStable.low, phStable.high)}`}${phSupplied === null ? "" : `; as supplied ${span(phSupplied.low, phSupplied.high)}`}.`}
          />
          <p className={classes.words}>
            {phStable === null ? "pH stability not known. " : `Stable from pH ${span(phStable.low, phStable.high)}. `}
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

function Uses({ material: { uses, hasMoreUses } }: { readonly material: OpenMaterial }) {
  return (
    <section aria-labelledby="uses-head">
      <h2 id="uses-head">Where it is</h2>
      {uses.length === 0 && <p className={classes.words}>In none of your formulas.</p>}
      <DataTable className={classes.facts}>
        <tbody>
          {uses.map((one) => (
            <tr key={one.formulaId}>
              <th scope="row">
                <Link to={`/sheet/${one.formulaId}`}>{one.name}</Link>
              </th>
              <td>v{one.number}</td>
              <td>{one.percent === null ? "q.s." : `${writtenPercent(one.percent)} %`}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {hasMoreUses && <p className={classes.words}>These are the {uses.length} formulas changed last.</p>}
    </section>
  );
}
