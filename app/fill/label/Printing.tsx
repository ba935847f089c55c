import { Group, NativeSelect, Stack, Text } from "@mantine/core";
import { labelGrid, labelPapers, type LabelDesign, type LabelPaper } from "@tensidrum/core/packaging";
import { useState } from "react";
import { WholeNumber } from "./WholeNumber";

interface PrintingProps {
  readonly batchId: string;
  readonly row: string;
  readonly count: number;
  readonly design: LabelDesign;
  readonly isKept: boolean;
}

/** As many labels as there are containers, on sheets; and one beside a rule to see whether the printer keeps the scale. */
export function Printing({ batchId, row, count, design, isKept }: PrintingProps) {
  const [paper, setPaper] = useState<LabelPaper>("a4");
  const [typedCopies, setCopies] = useState<number | null>(null);
  const [from, setFrom] = useState(1);
  const copies = typedCopies ?? count;
  const places = labelGrid(design, paper).places.length;
  const address = (more: string) =>
    `/fill/${batchId}/label.pdf?row=${encodeURIComponent(row)}&paper=${paper}${from === 1 ? "" : `&from=${from}`}${more}`;
  return (
    <section aria-labelledby="print-head">
      <h2 id="print-head">Print</h2>
      <Stack gap="sm">
        <Group gap="md" align="end">
          <NativeSelect
            label="paper"
            value={paper}
            onChange={({ currentTarget }) => setPaper(labelPapers.find(({ id }) => id === currentTarget.value)?.id ?? paper)}
          >
            {labelPapers.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </NativeSelect>
          <WholeNumber label="labels" unit="" value={copies} most={500} onChange={setCopies} />
          {places > 1 && <WholeNumber label="first place" unit={`of ${places}`} value={from} most={places} onChange={setFrom} />}
        </Group>
        {places === 0 && <Text size="sm">Not one label of this size has room on that paper.</Text>}
        {from > 1 && from <= places && <Text size="sm">The first {from - 1} places of the first sheet stay free: they are used up.</Text>}
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
