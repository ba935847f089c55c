import { Checkbox, Group, NativeSelect } from "@mantine/core";
import { marketOf, markets } from "@tensidrum/core/library";
import { labelTemplates, type LabelDesign } from "@tensidrum/core/packaging";
import { useNavigate } from "react-router";
import type { OpenLabel } from "./label.server";
import { WholeNumber } from "./WholeNumber";

/** Usual times to use up a wash that is open. */
const OPEN_MONTHS = [3, 6, 9, 12, 18, 24];

const templateNames = {
  wrap: "bottle wrap",
  front: "front",
  back: "back or tube",
  lid: "jar lid",
  small: "sachet or sample",
  stock: "for the bench",
} as const;

interface LabelChoicesProps {
  readonly open: Pick<OpenLabel, "batchId" | "row" | "rows" | "hasParts">;
  readonly design: LabelDesign;
  readonly onChange: (step: (design: LabelDesign) => LabelDesign) => void;
}

/** For which containers the label is, how large, and by whose rules it speaks. */
export function LabelChoices({ open, design, onChange }: LabelChoicesProps) {
  const { batchId, row, rows } = open;
  const navigate = useNavigate();
  return (
    <Group gap="md" align="end">
      {rows.length > 1 && (
        <NativeSelect
          label="for"
          value={row}
          onChange={({ currentTarget }) => void navigate(`/fill/${batchId}/label?row=${encodeURIComponent(currentTarget.value)}`)}
        >
          {rows.map((one) => (
            <option key={one.id} value={one.id}>
              {one.part === null ? "" : `${one.part}: `}
              {one.name}
              {one.use === "use" ? "" : one.use === "tester" ? ", testers" : ", kept to watch"}
            </option>
          ))}
        </NativeSelect>
      )}
      <NativeSelect
        label="begin anew from"
        value=""
        onChange={({ currentTarget: { value } }) =>
          value !== "" && void navigate(`/fill/${batchId}/label?row=${encodeURIComponent(row)}&template=${value}`)
        }
      >
        <option value="">a template</option>
        {labelTemplates.map((template) => (
          <option key={template} value={template}>
            {templateNames[template]}
          </option>
        ))}
      </NativeSelect>
      {open.hasParts && (
        <Checkbox
          label="one label for all parts (may contain)"
          checked={design.isShared}
          onChange={({ currentTarget: { checked } }) => onChange((of) => ({ ...of, isShared: checked }))}
        />
      )}
      <WholeNumber
        label="wide"
        unit="mm"
        least={5}
        most={1_000}
        value={design.widthMm}
        onChange={(widthMm) => onChange((of) => ({ ...of, widthMm }))}
      />
      <WholeNumber
        label="high"
        unit="mm"
        least={5}
        most={1_000}
        value={design.heightMm}
        onChange={(heightMm) => onChange((of) => ({ ...of, heightMm }))}
      />
      <NativeSelect
        label="names"
        value={design.naming}
        onChange={({ currentTarget: { value } }) => onChange((of) => ({ ...of, naming: value === "common" ? "common" : "inci" }))}
      >
        <option value="inci">INCI</option>
        <option value="common">common</option>
      </NativeSelect>
      <NativeSelect
        label="allergens as in"
        value={design.market}
        onChange={({ currentTarget: { value } }) => onChange((of) => ({ ...of, market: marketOf(value)?.slug ?? of.market }))}
      >
        {markets.map(({ slug, name: place }) => (
          <option key={slug} value={slug}>
            {place}
          </option>
        ))}
      </NativeSelect>
      <NativeSelect
        label="net content as"
        value={design.netIn}
        onChange={({ currentTarget: { value } }) => onChange((of) => ({ ...of, netIn: value === "volume" ? "volume" : "mass" }))}
      >
        <option value="mass">g and oz</option>
        <option value="volume">mL and fl oz</option>
      </NativeSelect>
      <NativeSelect
        label="once open, for"
        value={design.openMonths === null ? "" : String(design.openMonths)}
        onChange={({ currentTarget: { value } }) => onChange((of) => ({ ...of, openMonths: value === "" ? null : Number(value) }))}
      >
        <option value="">not said</option>
        {OPEN_MONTHS.map((months) => (
          <option key={months} value={months}>
            {months} months
          </option>
        ))}
      </NativeSelect>
      <WholeNumber
        label="best before, after"
        unit="months"
        value={design.months}
        most={60}
        onChange={(months) => onChange((of) => ({ ...of, months }))}
      />
    </Group>
  );
}
