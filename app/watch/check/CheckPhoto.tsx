import { Checkbox, Group, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import type { Lab } from "@tensidrum/core/appearance";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { FormError } from "../../components/FormError";
import { Fold } from "../../components/Fold";
import classes from "./CheckPhoto.module.css";
import { markNames, moved, readPhoto, usualMarks, type MarkName, type Marks, type PhotoReading } from "./photoMarks";

interface CheckPhotoProps {
  /** Colour of the first photo of the batch. */
  readonly first: Lab | null;
  readonly error: string | undefined;
}

/** Pixels the photo is drawn across, and the side of what is read under a mark. */
const [WIDTH, PATCH] = [900, 36];
const STEP = 0.01;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** A photo of the sample. With a white card in it tells its colour; with a printed grid behind the jar its haze. */
export function CheckPhoto({ first, error }: CheckPhotoProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [isDrawn, setDrawn] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [hasGrid, setHasGrid] = useState(false);
  const [marks, setMarks] = useState<Marks>(usualMarks);
  const [reading, setReading] = useState<PhotoReading | null>(null);
  useEffect(() => {
    setDrawn(false);
    setProblem(null);
    if (file === null) return;
    let isOver = false;
    void createImageBitmap(file)
      .then((image) => {
        const target = canvas.current;
        if (isOver || target === null) return;
        target.width = Math.min(WIDTH, image.width);
        target.height = Math.max(1, Math.round((target.width * image.height) / image.width));
        target.getContext("2d", { willReadFrequently: true })?.drawImage(image, 0, 0, target.width, target.height);
        setDrawn(true);
      })
      .catch(() => setProblem("This is not a photo that can be read. Choose a JPEG or PNG."));
    return () => {
      isOver = true;
    };
  }, [file]);
  useEffect(() => {
    const context = canvas.current?.getContext("2d", { willReadFrequently: true });
    if (!isDrawn || context == null) return setReading(null);
    const { width, height } = context.canvas;
    const side = Math.min(PATCH, width, height);
    const pixelsAt = (name: MarkName) => {
      const { x, y } = marks[name];
      const at = (middle: number, whole: number): number => Math.round(Math.min(whole - side, Math.max(0, middle * whole - side / 2)));
      return context.getImageData(at(x, width), at(y, height), side, side).data;
    };
    setReading(readPhoto(pixelsAt, first, hasGrid));
  }, [isDrawn, marks, hasGrid, first]);
  const move = (name: MarkName, right: number, down: number): void =>
    setMarks((now) => ({ ...now, [name]: moved(now[name], right, down) }));
  const shown: readonly MarkName[] = hasGrid ? ["card", "jar", "beside", "behind"] : ["card", "jar"];
  return (
    <Stack gap={6}>
      <TextInput
        type="file"
        name="photo"
        label="photo, JPEG or PNG up to 5 MB"
        accept="image/jpeg,image/png"
        onChange={(event) => setFile(event.currentTarget.files?.[0] ?? null)}
        error={error ?? problem}
      />
      <input type="hidden" name="lab" value={reading?.lab == null ? "" : labText(reading.lab)} />
      <input type="hidden" name="haze" value={reading?.hazePercent == null ? "" : reading.hazePercent.toFixed(1)} />
      <div className={classes.photo} hidden={!isDrawn}>
        <canvas ref={canvas} aria-label="The photo; its marks are moved by dragging or with the arrow keys" role="img" />
        {shown.map((name) => (
          <MarkHandle key={name} name={name} mark={marks[name]} onMove={(right, down) => move(name, right, down)} />
        ))}
      </div>
      {isDrawn && (
        <>
          <Checkbox
            label="printed squares stand behind the jar"
            checked={hasGrid}
            onChange={(event) => setHasGrid(event.currentTarget.checked)}
          />
          {reading !== null && <Reading reading={reading} />}
          {reading?.problems.map((one) => (
            <FormError key={one}>{one}</FormError>
          ))}
        </>
      )}
    </Stack>
  );
}

const labText = ({ l, a, b }: Lab): string => [Math.min(110, Math.max(0, l)), a, b].map((one) => one.toFixed(2)).join(" ");

function Reading({ reading: { lab, difference, hazePercent } }: { readonly reading: PhotoReading }) {
  if (lab === null && hazePercent === null) return null;
  const told = [
    ...(lab === null ? [] : [`L ${written(lab.l, 0)}, a ${written(lab.a, 0)}, b ${written(lab.b, 0)}`]),
    ...(difference === null ? [] : [`ΔE ${writtenShort(difference, 1)} from the first photo`]),
    ...(hazePercent === null ? [] : [`haze ${writtenShort(hazePercent, 0)} %`]),
  ];
  return (
    <Group gap="xs" role="status">
      <Text m={0} fw={650}>
        {told.join("; ")}
      </Text>
      <Fold summary="estimate">
        <Text m="4px 0" size="sm">
          The light of the room is taken out by the white card, the rest is up to the camera: the same place, lamp and phone each time make
          it worth most. A ΔE of about 1 is just seen, 5 at a glance. Haze is what the jar takes from the contrast of the squares.
        </Text>
      </Fold>
    </Group>
  );
}

interface MarkHandleProps {
  readonly name: MarkName;
  readonly mark: { readonly x: number; readonly y: number };
  readonly onMove: (right: number, down: number) => void;
}

/** A mark in the photo: dragged, or moved with the arrow keys. */
function MarkHandle({ name, mark: { x, y }, onMove }: MarkHandleProps) {
  const drag = (event: PointerEvent<HTMLButtonElement>): void => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const frame = event.currentTarget.parentElement?.getBoundingClientRect();
    if (frame === undefined) return;
    onMove((event.clientX - frame.left) / frame.width - x, (event.clientY - frame.top) / frame.height - y);
  };
  const press = (event: KeyboardEvent<HTMLButtonElement>): void => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onMove(step[0], step[1]);
  };
  return (
    <UnstyledButton
      type="button"
      className={classes.mark}
      style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={press}
    >
      <span>{markNames[name]}</span>
    </UnstyledButton>
  );
}
