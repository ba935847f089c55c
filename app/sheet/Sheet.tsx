import { Button } from "@mantine/core";
import { Link } from "react-router";
import { Frame } from "../frame/Frame";
import { JudgedSheet } from "./JudgedSheet";
import { AimPart } from "./AimPart";
import { TakenBlendPart } from "./blend/TakenBlendPart";
import { BatchPart } from "./batch/BatchPart";
import { AddLinePart } from "./lines/AddLine";
import { LinesPart } from "./lines/LinesPart";
import { WithoutScriptsPart } from "./lines/WithoutScriptsPart";
import { MethodPart } from "./MethodPart";
import type { OpenSheet } from "./openSheet.server";
import { MorePart } from "./readings/MorePart";
import { StartPart } from "./start/StartPart";
import { ReadingsPart } from "./readings/ReadingsPart";
import { Versions } from "./readings/Versions";
import { NoticePart } from "./saving/NoticePart";
import { ShelfLotsProvider } from "./shelfLots";
import classes from "./Sheet.module.css";
import { FormPart, HeadPart, PicturePart, SavePart, TitlePart, UndoPart, StationNavPart } from "./SheetParts";
import { SheetStateProvider } from "./SheetState";

/** The Sheet: aim, lines, readings and findings of one version. */
export function Sheet({ sheet }: { readonly sheet: OpenSheet }) {
  const isDraft = sheet.state === "draft";
  return (
    <SheetStateProvider sheet={sheet}>
      <JudgedSheet>
        <ShelfLotsProvider>
          <Frame
            head={<HeadPart />}
            state={isDraft ? <SavePart /> : null}
            doors={
              <>
                <Link className={classes.door} to={`/sheet/${sheet.formulaId}/${sheet.number}/steps`} data-act="Steps of this version">
                  Steps
                </Link>
                <Link className={classes.door} to={`/weighing/${sheet.formulaId}/${sheet.number}`} data-act="Weighing sheet" data-key="w">
                  Weighing sheet
                </Link>
                {!isDraft && (
                  <Button component={Link} to={`/bench/begin/${sheet.formulaId}/${sheet.number}`} h={36} data-act="Make this version">
                    Make this version
                  </Button>
                )}
              </>
            }
            line={<StationNavPart />}
          >
            <TitlePart />
            <FormPart>
              <div className={classes.picture}>
                <PicturePart />
              </div>
              <div className={classes.lines}>
                <AimPart />
                <NoticePart />
                <TakenBlendPart />
                <LinesPart />
                {isDraft && <AddLinePart />}
                <StartPart />
                <MethodPart />
                {isDraft && <WithoutScriptsPart />}
                <div className={classes.foot}>
                  <p className={classes.scales}>
                    Weighed on {scaleWords(sheet.scales)}. <Link to="/settings#scales">Your scales</Link>
                  </p>
                  {isDraft && <BatchPart />}
                  {isDraft && <UndoPart />}
                </div>
                <MorePart />
              </div>
              <div className={classes.readings}>
                <ReadingsPart />
                <Versions sheet={sheet} />
              </div>
            </FormPart>
          </Frame>
        </ShelfLotsProvider>
      </JudgedSheet>
    </SheetStateProvider>
  );
}

function scaleWords(scales: OpenSheet["scales"]): string {
  if (scales.length === 0) return "no scale yet";
  return scales.map((scale) => `${scale.name} (${scale.readabilityGrams} g)`).join(" and ");
}
