import { Button, TextInput } from "@mantine/core";
import { Form, Link } from "react-router";
import { ChargeTag } from "../../components/ChargeSign";
import { chargeWords } from "../../components/chargeWords";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { useUnits } from "../../frame/units";
import { StationNav } from "../../frame/stationNav/StationNav";
import { doseScale } from "../../pictures/Strip/geometry";
import { Strip } from "../../pictures/Strip/Strip";
import { Vessel } from "../../pictures/Vessel/Vessel";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import classes from "./Compare.module.css";
import type { OpenCompare } from "./compare.server";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

type Side = OpenCompare["sides"][number];

/** Two materials side by side: the pictures on one scale, then only the facts that differ. */
export function Compare({ compared }: { readonly compared: OpenCompare }) {
  const { asked, names, sides, differences } = compared;
  const units = useUnits();
  const [one, other] = sides;
  const missing = asked.filter((name, at) => name !== "" && sides.length < 2 && sides[at] === undefined);
  return (
    <Frame head={<PageHeader>Two side by side</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Two side by side, Tensidrum</title>
      <Form method="get" className={classes.ask} key={asked.join("|")}>
        {(["one", "other"] as const).map((name, at) => (
          <TextInput
            key={name}
            name={name}
            list="materials-known"
            defaultValue={asked[at]}
            aria-label={at === 0 ? "The one material" : "The other material"}
            placeholder="name or INCI"
            autoComplete="off"
          />
        ))}
        <datalist id="materials-known">
          {names.map((name, at) => (
            <option key={at} value={name} />
          ))}
        </datalist>
        <Button type="submit" h={40}>
          Compare
        </Button>
      </Form>
      {missing.length > 0 && <FormError>Nothing in the library is like “{missing[0]}”.</FormError>}
      {one === undefined || other === undefined ? (
        <p className={shelf.empty}>Name two materials: what they differ in stands here then, on one scale.</p>
      ) : (
        <DataTable className={classes.table}>
          <thead>
            <tr>
              <td />
              <th scope="col">
                <Head side={one} />
              </th>
              <th scope="col">
                <Head side={other} />
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">on the shelf</th>
              <td>{stock(one, units)}</td>
              <td>{stock(other, units)}</td>
            </tr>
            <Pictures one={one} other={other} />
            {differences.map((row) => (
              <tr key={row.fact}>
                <th scope="row">{row.name}</th>
                <td>{row.one}</td>
                <td>
                  {row.other}
                  {row.rises !== 0 && <span className={classes.way}>{row.rises > 0 ? " more" : " less"}</span>}
                </td>
              </tr>
            ))}
            <tr>
              <th scope="row">precautions</th>
              <td>{one.caution ?? ""}</td>
              <td>{other.caution ?? ""}</td>
            </tr>
          </tbody>
        </DataTable>
      )}
      {one !== undefined && other !== undefined && differences.length === 0 && <p>In their facts they are the same.</p>}
    </Frame>
  );
}

function Head({ side }: { readonly side: Side }) {
  const { charge, role, form } = side;
  return (
    <span className={classes.head}>
      <Vessel {...side} packGrams={Math.max(side.packGrams, 1)} />
      <span>
        <Link to={`/shelf/${side.slug}`}>{side.name}</Link>
        <small>{side.inci}</small>
        <small>
          {charge !== null && <ChargeTag charge={charge} />}{" "}
          {[charge === null ? role : chargeWords[charge].name, form].filter(Boolean).join(", ")}
        </small>
      </span>
    </span>
  );
}

function stock({ leftGrams, pricePerKilogram }: Side, { mass, money }: ReturnType<typeof useUnits>): string {
  const left = leftGrams > 0 ? `${mass(leftGrams)} left` : "none";
  return pricePerKilogram === null ? left : `${left}, ${money(pricePerKilogram)} a kilogram`;
}

const PH_SCALE = { low: 0, high: 14 };

/** The spans of both on the same scale, so that they can be laid over each other by eye. */
function Pictures({ one, other }: { readonly one: Side; readonly other: Side }) {
  const doses = doseScale([one, other].flatMap(({ use }) => (use === null ? [] : [use.high])));
  const span = (range: { low: number; high: number } | null) => (range === null ? "not known" : `${range.low} to ${range.high}`);
  return (
    <>
      <tr className={classes.picture}>
        <th scope="row">pH stability; frame: as supplied</th>
        {[one, other].map(({ slug, phStable, phSupplied }) => (
          <td key={slug}>
            <Strip
              scale={PH_SCALE}
              range={phStable}
              frame={phSupplied}
              dots={[]}
              steps={7}
              label={`Stable at pH ${span(phStable)}; as supplied ${span(phSupplied)}.`}
            />
            {span(phStable)}, supplied {span(phSupplied)}
          </td>
        ))}
      </tr>
      <tr className={classes.picture}>
        <th scope="row">usual dose, %</th>
        {[one, other].map(({ slug, use }) => (
          <td key={slug}>
            <Strip scale={doses} range={use} frame={null} dots={[]} steps={5} label={`Usual dose ${span(use)} %.`} />
            {span(use)}
          </td>
        ))}
      </tr>
    </>
  );
}
