import { Button, Group } from "@mantine/core";
import type { DesignedBlend } from "@tensidrum/core/design";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useRef } from "react";
import { useFetcher, useNavigate } from "react-router";
import { FormError } from "../../components/FormError";
import type { FormAnswer } from "../../frame/formAnswer";
import { BLEND_STATE, type TakenBlend } from "../blend/blendState";
import type { OpenDesigner } from "./designer.server";
import { partsWords } from "./designWords";

interface TakeBlendProps {
  readonly open: OpenDesigner;
  readonly blend: DesignedBlend;
  readonly nameOf: (slug: string) => string;
  /** Slug of the preservative it was looked for with; null for what is on the sheet. */
  readonly preservative: string | null;
}

interface Opened {
  readonly formulaId: string;
  readonly draft: number;
  readonly isNoted: boolean;
}

const NOTE_FULL = "The note of the draft is full, so this is not in it.";

/** Takes a blend to the Sheet: into the draft that is open, the next one, or a trial. There it can be undone. */
export function TakeBlend({ open, blend, nameOf, preservative }: TakeBlendProps) {
  const navigate = useNavigate();
  const fetcher = useFetcher<Opened | FormAnswer<unknown>>();
  /** What was taken when the button was pressed. */
  const taken = useRef<TakenBlend | null>(null);
  const preserved = preservative === null ? "" : ` Looked for with ${nameOf(preservative)}, which is still to be exchanged.`;
  const sentence = `A blend found for v${open.number}: ${partsWords(blend, nameOf)}; irritation ${written(blend.irritation, 0)}, initial foam ${written(blend.flash, 1)}.${preserved}`;
  const take = (into: "draft" | "next" | "trial"): void => {
    taken.current = { lines: blend.lines.map(({ material, percent }) => ({ material, percent })), sentence };
    void fetcher.submit({ version: open.versionId, sentence: sentence.slice(0, 500), into }, { method: "post" });
  };
  const go = ({ formulaId, draft, isNoted }: Opened): void => {
    if (taken.current === null) return;
    const told = isNoted ? taken.current.sentence : `${taken.current.sentence} ${NOTE_FULL}`;
    void navigate(`/sheet/${formulaId}/${draft}`, { state: { [BLEND_STATE]: { lines: taken.current.lines, sentence: told } } });
    taken.current = null;
  };
  const answered = fetcher.data;
  const latest = useRef(go);
  latest.current = go;
  useEffect(() => {
    if (answered !== undefined && "draft" in answered) latest.current(answered);
  }, [answered]);
  const draft = open.isDraft ? open.number : open.openDraft;
  const isBusy = fetcher.state !== "idle";
  return (
    <>
      <FormError>{answered !== undefined && "problems" in answered ? answered.problems[0]?.message : null}</FormError>
      <Group mt="md">
        <Button h={52} loading={isBusy} onClick={() => take(draft === null ? "next" : "draft")}>
          {draft === null ? "Take it into the next draft" : `Take it into the draft v${draft}`}
        </Button>
        <Button h={52} variant="default" disabled={isBusy} onClick={() => take("trial")}>
          Take it into a trial
        </Button>
        <span>Everything else on the sheet stays; the water makes up the rest.</span>
      </Group>
    </>
  );
}
