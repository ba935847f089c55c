import { Button, Group } from "@mantine/core";
import type { DesignedBlend } from "@tensidrum/core/design";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useRef } from "react";
import { useFetcher, useNavigate } from "react-router";
import { FormError } from "../components/FormError";
import type { FormAnswer } from "../frame/formAnswer";
import { BLEND_STATE } from "../frame/blendState";
import type { OpenDesigner } from "./designer.server";

interface TakeBlendProps {
  readonly open: OpenDesigner;
  readonly blend: DesignedBlend;
  readonly nameOf: (slug: string) => string;
}

/** Takes a blend to the Sheet: into the draft that is open, or into the next one. There it can be undone. */
export function TakeBlend({ open, blend, nameOf }: TakeBlendProps) {
  const navigate = useNavigate();
  const fetcher = useFetcher<{ readonly draft: number } | FormAnswer<unknown>>();
  const taken = useRef<DesignedBlend | null>(null);
  const lines = blend.lines.map(({ material, percent }) => ({ material, percent }));
  const parts = blend.lines.map(({ material, percent }) => `${nameOf(material)} ${written(percent, 2)} %`).join(", ");
  const sentence = `A blend found for v${open.number}: ${parts}; irritation ${written(blend.irritation, 0)}, initial foam ${written(blend.flash, 1)}.`;
  const go = (number: number): void => {
    void navigate(`/sheet/${open.formulaId}/${number}`, { state: { [BLEND_STATE]: { lines, sentence } } });
  };
  const answered = fetcher.data;
  const latest = useRef(go);
  latest.current = go;
  useEffect(() => {
    if (answered !== undefined && "draft" in answered && taken.current !== null) {
      taken.current = null;
      latest.current(answered.draft);
    }
  }, [answered]);
  const draft = open.isDraft ? open.number : open.openDraft;
  return (
    <>
      <FormError>{answered !== undefined && "problems" in answered ? answered.problems[0]?.message : null}</FormError>
      <Group mt="md">
        {draft === null ? (
          <Button
            h={52}
            loading={fetcher.state !== "idle"}
            onClick={() => {
              taken.current = blend;
              void fetcher.submit({ version: open.versionId, sentence: sentence.slice(0, 500) }, { method: "post" });
            }}
          >
            Take it into the next draft
          </Button>
        ) : (
          <Button h={52} onClick={() => go(draft)}>
            Take it into the draft v{draft}
          </Button>
        )}
        <span>Everything else on the sheet stays; the water makes up the rest.</span>
      </Group>
    </>
  );
}
