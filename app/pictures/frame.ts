import { useMediaQuery } from "@mantine/hooks";

/** The room of a picture of readings, in its own units: all of it, and what is left around for numbers and names. */
export interface PictureFrame {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const PHONE = "(max-width: 40em)";

/** On a phone a picture of its own, as its numbers would be too small in the one for a wide page. */
export function useFrame({ wide, narrow }: { readonly wide: PictureFrame; readonly narrow: PictureFrame }): PictureFrame {
  return useMediaQuery(PHONE) ? narrow : wide;
}
