import { TextInput, NativeSelect, UnstyledButton } from "@mantine/core";
import { writtenPercent } from "@tensidrum/core/quantities";
import { Form, useSubmit } from "react-router";
import classes from "./Scents.module.css";
import type { OpenScent } from "./scents.server";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

/** A smaller share than this is told as under it, %. */
const LEAST_TOLD = 0.001;

/** What the last round does in a product: the cap, each oil's own limit, and the allergens to name. */
export function InProduct({ scent }: { readonly scent: OpenScent }) {
  const { dose, doseProblem, profiles, inProduct } = scent;
  const submit = useSubmit();
  return (
    <section className={classes.product} aria-labelledby="product-head">
      <h2 id="product-head">In a product</h2>
      <Form
        method="get"
        className={classes.dose}
        key={`${dose.profile} ${dose.percent}`}
        onChange={(event) => {
          if ((event.target as HTMLElement).tagName === "SELECT") void submit(event.currentTarget);
        }}
      >
        <label>
          <TextInput
            name="percent"
            defaultValue={dose.percent}
            inputMode="decimal"
            aria-label="Dose, % of the product"
            autoComplete="off"
          />{" "}
          %
        </label>
        <NativeSelect label="in" name="profile" defaultValue={dose.profile} aria-label="In which product">
          {profiles.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </NativeSelect>
        <UnstyledButton type="submit" className={classes.act}>
          Calculate
        </UnstyledButton>
      </Form>
      {doseProblem !== null && <FormError>{doseProblem}</FormError>}
      {inProduct === null ? (
        doseProblem === null && <p>Count a first round; its allergens and limits stand here then.</p>
      ) : (
        <Limits inProduct={inProduct} />
      )}
    </section>
  );
}

function Limits({ inProduct }: { readonly inProduct: NonNullable<OpenScent["inProduct"]> }) {
  const { allergens, oils, capPercent, isOverCap, mostPercent } = inProduct;
  const named = allergens.filter(({ mustBeNamed }) => mustBeNamed);
  return (
    <>
      <p className={classes.cap} data-over={isOverCap || undefined}>
        {isOverCap ? `Over the usual cap of ${capPercent} %.` : `Within the usual cap of ${capPercent} %.`} The most of this blend here is{" "}
        <strong>{`${writtenPercent(mostPercent)}\u00a0%.`}</strong>
      </p>
      <DataTable className={classes.limits}>
        <caption>Each oil against its own limit</caption>
        <thead>
          <tr>
            <th scope="col">oil</th>
            <th scope="col">in it, %</th>
            <th scope="col">most, %</th>
          </tr>
        </thead>
        <tbody>
          {oils.map(({ name, percentOfFormula, limitPercent, isOver }) => (
            <tr key={name} data-over={isOver || undefined}>
              <th scope="row">{name}</th>
              <td>{writtenPercent(percentOfFormula)}</td>
              <td>
                {limitPercent === null ? "not known" : writtenPercent(limitPercent)}
                {isOver && <em> over</em>}
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      <DataTable className={classes.limits}>
        <caption>{named.length === 0 ? "No allergen must be named" : `${named.length} to name on the label`}</caption>
        <thead>
          <tr>
            <th scope="col">allergen</th>
            <th scope="col">in the blend, %</th>
            <th scope="col">in it, %</th>
          </tr>
        </thead>
        <tbody>
          {allergens.map(({ name, percentOfBlend, percentOfFormula, mustBeNamed }) => (
            <tr key={name}>
              <th scope="row">{mustBeNamed ? <strong>{name}</strong> : name}</th>
              <td>{writtenPercent(percentOfBlend)}</td>
              <td>
                {percentOfFormula < LEAST_TOLD ? `under ${LEAST_TOLD}` : writtenPercent(percentOfFormula)}
                {mustBeNamed && <em> name it</em>}
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      <p className={classes.fine}>
        Estimates from typical compositions; the certificate of your own oil decides. What must be named differs from place to place: check
        where you live.
      </p>
    </>
  );
}
