import { activeWindow } from "./surfactants/activeWindow.ts";
import { anionicHeavy } from "./surfactants/anionicHeavy.ts";
import { chargeClash } from "./surfactants/chargeClash.ts";
import { mildnessForFace } from "./surfactants/mildnessForFace.ts";
import { oneSurfactant } from "./surfactants/oneSurfactant.ts";
import { styleBreach } from "./surfactants/styleBreach.ts";
import type { Finding, NotJudged, Rule, Severity } from "./finding.ts";
import { judgedOf, type ReadSheet } from "./judged.ts";
import { microbeNutrientsRule } from "./preservation/microbeNutrients.ts";
import { preservativeDose } from "./preservation/preservativeDose.ts";
import { preservativeHeat } from "./preservation/preservativeHeat.ts";
import { preservativeHelper } from "./preservation/preservativeHelper.ts";
import { preservativeInactivated } from "./preservation/preservativeInactivated.ts";
import { preservativeMissing } from "./preservation/preservativeMissing.ts";
import { preservativeNeedless } from "./preservation/preservativeNeedless.ts";
import { preservativePh } from "./preservation/preservativePh.ts";
import { cloudyLikely } from "./appearance/cloudyLikely.ts";
import { colourShift } from "./appearance/colourShift.ts";
import { lineOpen } from "./mass/lineOpen.ts";
import { massNoQs } from "./mass/massNoQs.ts";
import { massOpen } from "./mass/massOpen.ts";
import { massOver } from "./mass/massOver.ts";
import { emulsifierMissing } from "./oils/emulsifierMissing.ts";
import { oilLoose } from "./oils/oilLoose.ts";
import { splitTemperature } from "./oils/splitTemperature.ts";
import { waxCold } from "./oils/waxCold.ts";
import { activeDose } from "./dose/activeDose.ts";
import { keepDark } from "./appearance/keepDark.ts";
import { gumOver } from "./rheology/gumOver.ts";
import { rawPhHigh } from "./acidity/rawPhHigh.ts";
import { limitOver } from "./targetUser/limitOver.ts";
import { coarseOnFace } from "./targetUser/coarseOnFace.ts";
import { corrosive } from "./handling/corrosive.ts";
import { dust } from "./handling/dust.ts";
import { eyeIrritant } from "./targetUser/eyeIrritant.ts";
import { gluten } from "./allergens/gluten.ts";
import { nut } from "./allergens/nut.ts";
import { restricted } from "./targetUser/restricted.ts";
import { soy } from "./allergens/soy.ts";
import { eyePh } from "./acidity/eyePh.ts";
import { phNoCorridor } from "./acidity/phNoCorridor.ts";
import { phOutside } from "./acidity/phOutside.ts";
import { soapAcidified } from "./acidity/soapAcidified.ts";
import { allergenDeclare } from "./scent/allergenDeclare.ts";
import { fragranceHigh } from "./scent/fragranceHigh.ts";
import { guarAcidFirst } from "./rheology/guarAcidFirst.ts";
import { gumSlurry } from "./rheology/gumSlurry.ts";
import { particlesSink } from "./rheology/particlesSink.ts";
import { polymerSalt } from "./rheology/polymerSalt.ts";
import { pumpClog } from "./rheology/pumpClog.ts";
import { saltMeetsGum } from "./rheology/saltMeetsGum.ts";
import { saltNoGrip } from "./rheology/saltNoGrip.ts";
import { saltPastPeak } from "./rheology/saltPastPeak.ts";
import { tooSmallToWeigh } from "./weighing/tooSmallToWeigh.ts";

/** Every rule, by family. A new rule is one file and one line here. */
export const families: Readonly<Record<string, readonly Rule[]>> = {
  mass: [massOver, massOpen, massNoQs, lineOpen],
  surfactants: [activeWindow, chargeClash, oneSurfactant, anionicHeavy, mildnessForFace, styleBreach],
  acidity: [soapAcidified, phNoCorridor, phOutside, rawPhHigh, eyePh],
  preservation: [
    preservativeMissing,
    preservativeDose,
    preservativePh,
    preservativeInactivated,
    preservativeHeat,
    preservativeHelper,
    preservativeNeedless,
    microbeNutrientsRule,
  ],
  rheology: [gumSlurry, gumOver, saltNoGrip, saltPastPeak, saltMeetsGum, polymerSalt, guarAcidFirst, particlesSink, pumpClog],
  oils: [oilLoose, emulsifierMissing, waxCold, splitTemperature],
  scent: [fragranceHigh, allergenDeclare],
  appearance: [cloudyLikely, colourShift, keepDark],
  weighing: [tooSmallToWeigh],
  handling: [dust, corrosive],
  targetUser: [coarseOnFace, eyeIrritant],
  allergens: [nut, gluten, soy],
  dose: [activeDose],
  law: [limitOver, restricted],
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
