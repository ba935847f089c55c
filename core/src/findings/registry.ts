import { activeWindow } from "./actives/activeWindow.ts";
import { anionicHeavy } from "./actives/anionicHeavy.ts";
import { chargeClash } from "./actives/chargeClash.ts";
import { mildnessForFace } from "./actives/mildnessForFace.ts";
import { oneSurfactant } from "./actives/oneSurfactant.ts";
import { schoolBreach } from "./actives/schoolBreach.ts";
import type { Finding, NotJudged, Rule, Severity } from "./finding.ts";
import { judgedOf, type ReadSheet } from "./judged.ts";
import { microbeFoodRule } from "./keeping/microbeFood.ts";
import { preservativeDose } from "./keeping/preservativeDose.ts";
import { preservativeHeat } from "./keeping/preservativeHeat.ts";
import { preservativeHelper } from "./keeping/preservativeHelper.ts";
import { preservativeInactivated } from "./keeping/preservativeInactivated.ts";
import { preservativeMissing } from "./keeping/preservativeMissing.ts";
import { preservativeNeedless } from "./keeping/preservativeNeedless.ts";
import { preservativePh } from "./keeping/preservativePh.ts";
import { cloudyLikely } from "./looks/cloudyLikely.ts";
import { colourShift } from "./looks/colourShift.ts";
import { massNoQs } from "./mass/massNoQs.ts";
import { massOpen } from "./mass/massOpen.ts";
import { massOver } from "./mass/massOver.ts";
import { emulsifierMissing } from "./oils/emulsifierMissing.ts";
import { oilLoose } from "./oils/oilLoose.ts";
import { splitTemperature } from "./oils/splitTemperature.ts";
import { waxCold } from "./oils/waxCold.ts";
import { coarseOnFace } from "./people/coarseOnFace.ts";
import { corrosive } from "./people/corrosive.ts";
import { dust } from "./people/dust.ts";
import { eyeIrritant } from "./people/eyeIrritant.ts";
import { gluten } from "./people/gluten.ts";
import { nut } from "./people/nut.ts";
import { restricted } from "./people/restricted.ts";
import { soy } from "./people/soy.ts";
import { eyePh } from "./ph/eyePh.ts";
import { phNoCorridor } from "./ph/phNoCorridor.ts";
import { phOutside } from "./ph/phOutside.ts";
import { soapAcidified } from "./ph/soapAcidified.ts";
import { allergenDeclare } from "./scent/allergenDeclare.ts";
import { fragranceHigh } from "./scent/fragranceHigh.ts";
import { guarAcidFirst } from "./thickness/guarAcidFirst.ts";
import { gumSlurry } from "./thickness/gumSlurry.ts";
import { particlesSink } from "./thickness/particlesSink.ts";
import { polymerSalt } from "./thickness/polymerSalt.ts";
import { pumpClog } from "./thickness/pumpClog.ts";
import { saltMeetsGum } from "./thickness/saltMeetsGum.ts";
import { saltNoGrip } from "./thickness/saltNoGrip.ts";
import { saltPastPeak } from "./thickness/saltPastPeak.ts";
import { tooSmallToWeigh } from "./weighing/tooSmallToWeigh.ts";

/** Every rule, by family. A new rule is one file and one line here. */
export const families: Readonly<Record<string, readonly Rule[]>> = {
  mass: [massOver, massOpen, massNoQs],
  actives: [activeWindow, chargeClash, oneSurfactant, anionicHeavy, mildnessForFace, schoolBreach],
  ph: [soapAcidified, phNoCorridor, phOutside, eyePh],
  keeping: [
    preservativeMissing,
    preservativeDose,
    preservativePh,
    preservativeInactivated,
    preservativeHeat,
    preservativeHelper,
    preservativeNeedless,
    microbeFoodRule,
  ],
  thickness: [gumSlurry, saltNoGrip, saltPastPeak, saltMeetsGum, polymerSalt, guarAcidFirst, particlesSink, pumpClog],
  oils: [oilLoose, emulsifierMissing, waxCold, splitTemperature],
  scent: [fragranceHigh, allergenDeclare],
  looks: [cloudyLikely, colourShift],
  weighing: [tooSmallToWeigh],
  people: [coarseOnFace, dust, corrosive, eyeIrritant, nut, gluten, soy, restricted],
};

export const rules: readonly Rule[] = Object.values(families).flat();

const urgency: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, consider: 2 };

/** Runs every rule: findings with the most urgent first, and what could not be judged. */
export function judge(read: ReadSheet): { findings: readonly Finding[]; notJudged: readonly NotJudged[] } {
  const judged = judgedOf(read);
  const findings = rules.flatMap((rule) => rule.check(judged));
  const notJudged = rules.flatMap((rule) => rule.notJudged?.(judged) ?? []);
  return { findings: findings.sort((a, b) => urgency[a.severity] - urgency[b.severity]), notJudged };
}
