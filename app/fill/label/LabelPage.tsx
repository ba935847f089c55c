import { Button, Grid, Group, NativeSelect, Stack, Text, UnstyledButton } from "@mantine/core";
import { labelFields, layOutLabel, leastPointsOf, type LabelDesign, type LabelField } from "@tensidrum/core/packaging";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useFetcher } from "react-router";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import quiet from "../../components/quiet.module.css";
import { Frame } from "../../frame/Frame";
import { fillStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { LabelSheet } from "../../pictures/LabelSheet/LabelSheet";
import { boxAlone, withBox, withBoxMoved, withField, withoutBox } from "./editLabel";
import { FieldPanel } from "./FieldPanel";
import type { OpenLabel } from "./label.server";
import { LabelChoices } from "./LabelChoices";
import { LabelFaults } from "./LabelFaults";
import { Printing } from "./Printing";
import { textsFor } from "./textsFor";
import { useLabelHistory } from "./useLabelHistory";

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

/** A label to true scale: what is on it, where, how large, and whether it fits. */
export function LabelPage({ open }: { readonly open: OpenLabel }) {
  const { batchId, code, name, row, qr } = open;
  const { design, canUndo, change, undo } = useLabelHistory(open.design);
  const [kept, setKept] = useState<LabelDesign | null>(open.isKept ? open.design : null);
  const [selected, setSelected] = useState<string | null>(open.design.boxes[0]?.id ?? null);
  const fetcher = useFetcher<{ readonly problem: string | null }>();
  const said = useMemo(() => textsFor(open, design), [open, design]);
  const laid = useMemo(() => layOutLabel(design, said), [design, said]);
  const box = design.boxes.find(({ id }) => id === selected);
  const nameOf = (id: string): string => fieldNames[design.boxes.find((one) => one.id === id)?.field ?? "text"];
  const sent = useRef(design);
  const keep = () => {
    sent.current = design;
    void fetcher.submit({ row, design: JSON.stringify(design) }, { method: "post" });
  };
  // Said only once the server has answered: what is printed before would be the label as it was.
  useEffect(() => {
    if (fetcher.data?.problem === null) setKept(sent.current);
  }, [fetcher.data]);
  const isKept = kept === design;
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
            <LabelChoices open={open} design={design} onChange={change} />
            <LabelSheet
              {...{ design, laid, qr, selected, nameOf }}
              onSelect={setSelected}
              heldBox={(held) => layOutLabel(boxAlone(withBoxMoved(design, held), held.id), said)[0]}
              onMove={(moved) => change((of) => withBoxMoved(of, moved))}
            />
            <LabelFaults laid={laid} design={design} nameOf={nameOf} />
            {design.netIn === "volume" && open.isDensityEstimated && (
              <Text size="sm">The volume goes by an estimated density: weigh 100 mL of it before you print.</Text>
            )}
            {design.boxes.some(({ field }) => field === "best-before") && <Text size="sm">{open.bestBeforeWhy[design.months]}</Text>}
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
                  const leastPoints = leastPointsOf(field, open.netGrams);
                  change((of) => withField(of, field, leastPoints));
                  setSelected(withField(design, field, leastPoints).boxes.at(-1)?.id ?? null);
                }}
              >
                <option value="">choose a field</option>
                {labelFields.map((field) => (
                  <option key={field} value={field}>
                    {fieldNames[field]}
                  </option>
                ))}
              </NativeSelect>
              {canUndo && (
                <UnstyledButton className={quiet.quiet} onClick={undo} data-act="Undo on the label">
                  Undo
                </UnstyledButton>
              )}
            </Group>
            {box !== undefined && (
              <FieldPanel
                key={box.id}
                box={box}
                name={fieldNames[box.field]}
                said={box.field === "text" || box.field === "qr" ? "" : said[box.field]}
                onChange={(changes) => change((of) => withBox(of, box.id, changes))}
                onDelete={() => {
                  change((of) => withoutBox(of, box.id));
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
            <Printing batchId={batchId} row={row} count={design.isShared ? open.sharedCount : open.count} isKept={isKept} design={design} />
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}
