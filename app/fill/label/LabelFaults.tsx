import { Stack, Text } from "@mantine/core";
import { claimsIn, type LabelDesign, type LaidBox } from "@tensidrum/core/packaging";

const stateSentences = {
  shrunk: (points: number) => `is printed in ${points} pt to fit.`,
  "does-not-fit": (points: number) => `does not fit, even in ${points} pt. Make its box larger, or the text shorter.`,
  outside: () => "goes beyond the label.",
  empty: () => "is empty. Say it, or take it off the label.",
} as const;

/** What would come out wrong in print, and what sounds like healing. */
export function LabelFaults({
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
