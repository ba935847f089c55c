import { Button, Checkbox, Grid, Group, NativeSelect, SimpleGrid, Stack, Text, Textarea, UnstyledButton } from "@mantine/core";
import {
  claimsIn,
  labelAligns,
  labelFields,
  labelPapers,
  labelTemplates,
  layOutLabel,
  leastPointsOf,
  type LabelBox,
  type LabelDesign,
  type LabelField,
  type LaidBox,
} from "@tensidrum/core/packaging";
import { marketOf, markets } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import { useMemo, useState } from "react";
import { Link, useFetcher, useNavigate } from "react-router";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { LabelSheet } from "../../pictures/LabelSheet/LabelSheet";
import { withBox, withBoxMoved, withField, withoutBox } from "./editLabel";
import type { OpenLabel } from "./label.server";
import { textsFor } from "./textsFor";

const fieldNames: Readonly<Record<LabelField, string>> = {
  name: "name",
  what: "what it is",
  directions: "directions",
  ingredients: "ingredients",
  cautions: "warnings and traces",
  net: "net content",
  batch: "batch code",
  "best-before": "best before",
  "after-opening": "once open",
  "made-in": "made in",
  contact: "contact",
  text: "a text of your own",
  qr: "batch code to scan",
};

/** Usual times to use up a wash that is open. */
const OPEN_MONTHS = [3, 6, 9, 12, 18, 24];

const templateNames = { wrap: "bottle wrap", front: "front", back: "back or tube", lid: "jar lid", small: "sachet or sample" } as const;

/** A label to true scale: what is on it, where, how large, and whether it fits. */
export function LabelPage({ open }: { readonly open: OpenLabel }) {
  const { batchId, code, name, row, rows, qr } = open;
  const [history, setHistory] = useState<readonly LabelDesign[]>([open.design]);
  const design = history.at(-1) ?? open.design;
  const [kept, setKept] = useState<LabelDesign | null>(open.isKept ? open.design : null);
  const [selected, setSelected] = useState<string | null>(open.design.boxes[0]?.id ?? null);
  const fetcher = useFetcher<{ readonly problem: string | null }>();
  const navigate = useNavigate();
  const change = (to: LabelDesign) => setHistory((before) => [...before, to]);
  const said = useMemo(() => textsFor(open, design), [open, design]);
  const laid = useMemo(() => layOutLabel(design, said), [design, said]);
  const box = design.boxes.find(({ id }) => id === selected);
  const nameOf = (id: string): string => fieldNames[design.boxes.find((one) => one.id === id)?.field ?? "text"];
  const keep = () => {
    void fetcher.submit({ row, design: JSON.stringify(design) }, { method: "post" });
    setKept(design);
  };
  const isKept = kept === design && fetcher.data?.problem == null;
  return (
    <Frame
      head={
        <>
          <PageHeader>Label</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {name}, batch <strong>{code}</strong>
          </Text>
        </>
      }
      doors={<Link to={`/fill/${batchId}`}>Filling</Link>}
      line={<StationNav stations={fillStations(`label, ${design.widthMm} by ${design.heightMm} mm`)} />}
    >
      <title>{`Label of ${code}, Tensidrum`}</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, lg: 8 }}>
          <Stack gap="md">
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
                  onChange={({ currentTarget: { checked } }) => change({ ...design, isShared: checked })}
                />
              )}
              <Side design={design} side="widthMm" label="wide" onChange={change} />
              <Side design={design} side="heightMm" label="high" onChange={change} />
              <NativeSelect
                label="names"
                value={design.naming}
                onChange={({ currentTarget: { value } }) => change({ ...design, naming: value === "common" ? "common" : "inci" })}
              >
                <option value="inci">INCI</option>
                <option value="common">common</option>
              </NativeSelect>
              <NativeSelect
                label="allergens as in"
                value={design.market}
                onChange={({ currentTarget: { value } }) => change({ ...design, market: marketOf(value)?.slug ?? design.market })}
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
                onChange={({ currentTarget: { value } }) => change({ ...design, netIn: value === "volume" ? "volume" : "mass" })}
              >
                <option value="mass">g and oz</option>
                <option value="volume">mL and fl oz</option>
              </NativeSelect>
              <NativeSelect
                label="once open, for"
                value={design.openMonths === null ? "" : String(design.openMonths)}
                onChange={({ currentTarget: { value } }) => change({ ...design, openMonths: value === "" ? null : Number(value) })}
              >
                <option value="">not said</option>
                {OPEN_MONTHS.map((months) => (
                  <option key={months} value={months}>
                    {months} months
                  </option>
                ))}
              </NativeSelect>
              <Whole
                label="best before, after"
                unit="months"
                value={design.months}
                most={60}
                onChange={(months) => change({ ...design, months })}
              />
            </Group>
            <LabelSheet
              {...{ design, laid, qr, selected, nameOf }}
              onSelect={setSelected}
              onMove={(id, by, { isSize }) => change(withBoxMoved(design, id, by, isSize))}
            />
            <WhatIsWrong laid={laid} design={design} nameOf={nameOf} />
            {design.netIn === "volume" && open.isDensityEstimated && (
              <Text size="sm">The volume goes by an estimated density: weigh 100 mL of it before you print.</Text>
            )}
            {open.earliestExpiry !== null && <Text size="sm">A lot in it ends on {open.earliestExpiry}: no label promises more.</Text>}
            <Text size="sm" c="var(--ink-2)">
              The label is prepared here. Check with your local authority what must be on it, and who may sell: that is theirs to say.
            </Text>
          </Stack>
        </Grid.Col>
        <Grid.Col span={{ base: 12, lg: 4 }}>
          <Stack gap="md">
            <Group gap="sm" align="end">
              <NativeSelect
                label="put on it"
                value=""
                onChange={({ currentTarget: { value } }) => {
                  const field = labelFields.find((one) => one === value);
                  if (field === undefined) return;
                  const next = withField(design, field, leastPointsOf(field, open.netGrams));
                  change(next);
                  setSelected(next.boxes.at(-1)?.id ?? null);
                }}
              >
                <option value="">choose a field</option>
                {labelFields.map((field) => (
                  <option key={field} value={field}>
                    {fieldNames[field]}
                  </option>
                ))}
              </NativeSelect>
              {history.length > 1 && (
                <UnstyledButton className={quiet.quiet} onClick={() => setHistory(history.slice(0, -1))} data-act="Undo on the label">
                  Undo
                </UnstyledButton>
              )}
            </Group>
            {box !== undefined && (
              <BoxPanel
                key={box.id}
                box={box}
                name={fieldNames[box.field]}
                said={box.field === "text" || box.field === "qr" ? "" : said[box.field]}
                onChange={(changes) => change(withBox(design, box.id, changes))}
                onDelete={() => {
                  change(withoutBox(design, box.id));
                  setSelected(null);
                }}
              />
            )}
            <FormError>{fetcher.data?.problem ?? undefined}</FormError>
            <Button
              h={40}
              onClick={keep}
              loading={fetcher.state !== "idle"}
              variant={isKept ? "outline" : "filled"}
              data-act="Keep this label"
            >
              {isKept ? "Kept" : "Keep this label"}
            </Button>
            <Printing batchId={batchId} row={row} count={design.isShared ? open.sharedCount : open.count} isKept={isKept} />
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

function Side({
  design,
  side,
  label,
  onChange,
}: {
  readonly design: LabelDesign;
  readonly side: "widthMm" | "heightMm";
  readonly label: string;
  readonly onChange: (design: LabelDesign) => void;
}) {
  return (
    <Whole label={label} unit="mm" value={design[side]} least={5} most={1_000} onChange={(mm) => onChange({ ...design, [side]: mm })} />
  );
}

interface WholeProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly least?: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}

/** A number that counts once it can be one; while it cannot it is told, and the label stays as it was. */
function Whole({ label, unit, value, least = 1, most, onChange }: WholeProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = readNumber(typed ?? String(value));
  const isRight = read.ok && read.value >= least && read.value <= most;
  return (
    <NumberField
      label={label}
      unit={unit}
      w={104}
      value={typed ?? String(value)}
      error={isRight ? undefined : `${least} to ${most}`}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        const next = readNumber(currentTarget.value);
        if (next.ok && next.value >= least && next.value <= most) onChange(next.value);
      }}
      onBlur={() => isRight && setTyped(null)}
    />
  );
}

interface BoxPanelProps {
  readonly box: LabelBox;
  readonly name: string;
  /** What the batch says for it. */
  readonly said: string;
  readonly onChange: (changes: Partial<LabelBox>) => void;
  readonly onDelete: () => void;
}

/** One field: its words, its letters and its place. */
function BoxPanel({ box, name, said, onChange, onDelete }: BoxPanelProps) {
  const number = (key: "x" | "y" | "width" | "height" | "points" | "leastPoints", label: string, unit: string, least: number) => (
    <Whole label={label} unit={unit} value={box[key]} least={least} most={1_000} onChange={(value) => onChange({ [key]: value })} />
  );
  return (
    <section aria-label={`Field: ${name}`}>
      <h2>{name}</h2>
      <Stack gap="sm">
        {box.field !== "qr" && (
          <Textarea
            label={said === "" ? "what it says" : "in your words, instead of what the batch says"}
            autosize
            minRows={2}
            maxRows={8}
            maxLength={2000}
            value={box.text}
            placeholder={said}
            onChange={({ currentTarget }) => onChange({ text: currentTarget.value })}
          />
        )}
        <SimpleGrid cols={3} spacing="sm">
          {number("x", "from left", "mm", 0)}
          {number("y", "from top", "mm", 0)}
          {box.field !== "qr" && number("points", "letters", "pt", 3)}
          {number("width", "wide", "mm", 1)}
          {number("height", "high", "mm", 1)}
          {box.field !== "qr" && number("leastPoints", "at least", "pt", 3)}
        </SimpleGrid>
        {box.field !== "qr" && (
          <Group gap="md" align="end">
            <NativeSelect
              label="stands"
              value={box.align}
              onChange={({ currentTarget: { value } }) => onChange({ align: labelAligns.find((one) => one === value) ?? "left" })}
            >
              {labelAligns.map((align) => (
                <option key={align} value={align}>
                  {align === "centre" ? "in the middle" : align}
                </option>
              ))}
            </NativeSelect>
            <Checkbox label="bold" checked={box.isBold} onChange={({ currentTarget: { checked } }) => onChange({ isBold: checked })} />
          </Group>
        )}
        <UnstyledButton className={quiet.quiet} onClick={onDelete}>
          Take it off the label
        </UnstyledButton>
      </Stack>
    </section>
  );
}

const stateSentences = {
  shrunk: (points: number) => `is printed in ${points} pt to fit.`,
  "does-not-fit": (points: number) => `does not fit, even in ${points} pt. Make its box larger, or the text shorter.`,
  outside: () => "goes beyond the label.",
  empty: () => "is empty. Say it, or take it off the label.",
} as const;

/** What would come out wrong in print, and what sounds like healing. */
function WhatIsWrong({
  laid,
  design,
  nameOf,
}: {
  readonly laid: readonly LaidBox[];
  readonly design: LabelDesign;
  readonly nameOf: (id: string) => string;
}) {
  const claims = design.boxes.flatMap(({ id, text }) => claimsIn(text).map(({ words, why }) => ({ id, words, why })));
  const wrong = laid.filter(({ state, missing }) => state !== "fits" || missing.length > 0);
  if (wrong.length === 0 && claims.length === 0) return <Text role="status">Everything fits.</Text>;
  return (
    <div role="status">
      <Stack component="ul" gap={4} m={0} pl="md">
        {wrong.map(({ box, state, points, missing }) => (
          <li key={box.id}>
            <strong>{nameOf(box.id)}</strong> {state !== "fits" && stateSentences[state](points)}
            {missing.length > 0 && ` The letters have no shape for ${missing.slice(0, 8).join(" ")}.`}
          </li>
        ))}
        {claims.map(({ id, words, why }) => (
          <li key={`${id} ${words}`}>
            <strong>“{words}”</strong> {why}
          </li>
        ))}
      </Stack>
    </div>
  );
}

interface PrintingProps {
  readonly batchId: string;
  readonly row: string;
  readonly count: number;
  readonly isKept: boolean;
}

/** As many labels as there are containers, on sheets; and one beside a rule to see whether the printer keeps the scale. */
function Printing({ batchId, row, count, isKept }: PrintingProps) {
  const [paper, setPaper] = useState("a4");
  const [copies, setCopies] = useState(count);
  const address = (more: string) => `/fill/${batchId}/label.pdf?row=${encodeURIComponent(row)}&paper=${paper}${more}`;
  return (
    <section aria-labelledby="print-head">
      <h2 id="print-head">Print</h2>
      <Stack gap="sm">
        <Group gap="md" align="end">
          <NativeSelect label="paper" value={paper} onChange={({ currentTarget }) => setPaper(currentTarget.value)}>
            {Object.entries(labelPapers).map(([key, { name }]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </NativeSelect>
          <Whole label="labels" unit="" value={copies} most={500} onChange={setCopies} />
        </Group>
        {isKept ? (
          <Group gap="md">
            <a href={address(`&count=${copies}`)} data-act="Labels as PDF">
              PDF
            </a>
            <a href={address("&test=on")} data-act="Test print with a rule">
              Test print with a rule
            </a>
            <a href={`/fill/${batchId}/label.svg?row=${encodeURIComponent(row)}`} data-act="One label as SVG">
              SVG
            </a>
            <a href={`/fill/${batchId}/label.json?row=${encodeURIComponent(row)}`} data-act="The label as a file">
              File
            </a>
          </Group>
        ) : (
          <Text size="sm">Keep the label first: what is printed is what is kept.</Text>
        )}
      </Stack>
    </section>
  );
}
