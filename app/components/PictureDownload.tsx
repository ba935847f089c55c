import { UnstyledButton } from "@mantine/core";
import { type RefObject, useState } from "react";
import classes from "./PictureDownload.module.css";
import quiet from "./quiet.module.css";

/** Downloads of a picture, as it looks now: SVG to go on with, PNG to send. */
export function PictureDownload({ name, picture }: { readonly name: string; readonly picture: RefObject<SVGSVGElement | null> }) {
  const [failed, setFailed] = useState(false);
  const get = (ending: "svg" | "png") => async () => {
    setFailed(false);
    if (picture.current === null) return;
    try {
      const { savePicture } = await import("./savePicture");
      await savePicture(picture.current, { name, ending });
    } catch {
      setFailed(true);
    }
  };
  return (
    <span className={classes.doors}>
      <UnstyledButton type="button" className={quiet.quiet} onClick={() => void get("svg")()}>
        SVG
      </UnstyledButton>
      <UnstyledButton type="button" className={quiet.quiet} onClick={() => void get("png")()}>
        PNG
      </UnstyledButton>
      {failed && <span role="alert">This browser could not draw the file.</span>}
    </span>
  );
}
