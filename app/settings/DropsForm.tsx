import { Button, NativeSelect } from "@mantine/core";
import { writtenShort } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { NumberField } from "../components/NumberField";
import { FormError } from "../components/FormError";
import type { OpenSettings } from "./settings.server";
import classes from "./Settings.module.css";

interface DropsFormProps {
  readonly drops: OpenSettings["drops"];
  readonly typed: { readonly material: string; readonly drops: string; readonly grams: string } | null;
  readonly message: string | null;
}

/** What a drop of one's own dropper weighs. */
export function DropsForm({ drops: { fewest, materials, weighed }, typed, message }: DropsFormProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.why}>A drop differs from dropper to dropper. Weigh {fewest} together; what one weighs is yours from then on.</p>
      <Form method="post" action="/settings" className={classes.small} key={JSON.stringify(weighed)}>
        <NativeSelect label="what was dropped" name="material" defaultValue={typed?.material ?? ""}>
          <option value="">choose one</option>
          {materials.map(({ slug, name, milligrams }) => (
            <option key={slug} value={slug}>
              {name}
              {milligrams !== null && `, ${writtenShort(milligrams, 1)} mg now`}
            </option>
          ))}
        </NativeSelect>
        <NumberField label="drops" name="drops" defaultValue={typed?.drops ?? String(fewest)} />
        <NumberField label="together" name="grams" unit="g" defaultValue={typed?.grams ?? ""} />
        <Button type="submit" name="intent" value="drops" h={36} variant="outline" loading={isBusy}>
          Take the mass of a drop
        </Button>
        <FormError>{message}</FormError>
      </Form>
      {weighed.length > 0 && (
        <ul className={classes.weighed} aria-label="Your own drops">
          {weighed.map(({ slug, name, milligrams }) => (
            <li key={slug}>
              <Link to={`/shelf/${slug}`}>{name}</Link> <strong>{writtenShort(milligrams, 1)} mg</strong> a drop
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
