import { MantineProvider } from "@mantine/core";
import type { ReactNode } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { ChargeTag } from "./ChargeSign";
import { ConfirmButton } from "./ConfirmButton";
import { DefaultButton } from "./DefaultButton";
import { FileDrop } from "./FileDrop";
import { FindingMark } from "./FindingMark";
import { Fold } from "./Fold";
import { FormError } from "./FormError";
import { NumberField } from "./NumberField";
import { PageHeader } from "./PageHeader";

/** As the server sends it, without the library's own style sheet. */
const sent = (node: ReactNode) => renderToStaticMarkup(<MantineProvider>{node}</MantineProvider>).replace(/<style[\s\S]*?<\/style>/g, "");

describe("why a form was not taken", () => {
  it("is said as an alert", () => {
    expect(sent(<FormError>The code is taken.</FormError>)).toMatch(/role="alert".*The code is taken\./);
  });

  it.each([null, undefined, false])("of %s nothing is drawn", (nothing) => {
    expect(sent(<FormError>{nothing}</FormError>)).not.toContain("alert");
  });
});

describe("a field for a file", () => {
  const field = sent(<FileDrop label="A list" name="file" accept=".csv" holds={() => null} />);

  it("is a named file field of its form, so that it works without scripts", () => {
    expect(field).toMatch(/<input[^>]*type="file"/);
    expect(field).toMatch(/<input[^>]*name="file"/);
    const [, id] = /<label[^>]*for="([^"]+)"[^>]*>A list/.exec(field) ?? [];
    expect(field).toContain(`id="${id}"`);
  });

  it("says that nothing is stored yet", () => {
    expect(field).toMatch(/role="status">Drop it here, or choose it\. Nothing is stored yet\./);
  });
});

describe("the small ones", () => {
  it("a finding's number says its severity in words", () => {
    expect(sent(<FindingMark severity="stop" number={2} />)).toContain('aria-label="finding 2, stop"');
  });

  it("a charge sign is read out where no word stands beside it, and passed over where one does", () => {
    expect(sent(<ChargeTag charge="cationic" name="cationic" />)).toContain('role="img" aria-label="cationic"');
    expect(sent(<ChargeTag charge="cationic" />)).toContain('aria-hidden="true"');
  });

  it("the button that Enter presses is seen and reached by nobody", () => {
    const button = sent(<DefaultButton name="intent" value="look" />);
    for (const part of ['type="submit"', 'name="intent"', 'value="look"', 'tabindex="-1"', 'aria-hidden="true"'])
      expect(button).toContain(part);
  });

  it("a fold comes with its content, for who has no scripts", () => {
    expect(sent(<Fold summary="More">hidden words</Fold>)).toMatch(/<summary>More<\/summary>hidden words/);
  });
});

describe("a field for a number", () => {
  it("takes decimals, keeps what was typed and shows its unit", () => {
    const field = sent(<NumberField label="Strength" name="strength" unit="%" defaultValue="1,2" />);
    for (const part of ['inputMode="decimal"', 'name="strength"', 'value="1,2"', ">%<"])
      expect(field.toLowerCase()).toContain(part.toLowerCase());
  });

  it("says at the field what is wrong with it, as an alert", () => {
    const field = sent(<NumberField label="Strength" error="A strength lies between 0 and 100 %." />);
    expect(field).toContain('aria-invalid="true"');
    expect(field).toContain("A strength lies between 0 and 100 %.");
  });
});

describe("a button that asks once", () => {
  const button = sent(
    <ConfirmButton name="intent" value="delete" question="Delete it?" consequence="Its rounds go with it.">
      Delete the scent
    </ConfirmButton>,
  );

  it("sends its form by itself where there are no scripts, and asks nothing before it is pressed", () => {
    for (const part of ['type="submit"', 'name="intent"', 'value="delete"', "Delete the scent"]) expect(button).toContain(part);
    expect(button).not.toContain("Its rounds go with it.");
  });
});

describe("the name of a page", () => {
  it("is its heading; what stands beside it is not part of it", () => {
    expect(sent(<PageHeader beside="version 2">Curtain Call</PageHeader>)).toMatch(
      /<h1[^>]*>Curtain Call<\/h1><span[^>]*>version 2<\/span>/,
    );
    expect(sent(<PageHeader>Shelf</PageHeader>)).not.toContain("<span");
  });
});
