import { looks, schoolOf, thicknessWishes, type Aim } from "@tensidrum/core/formula";
import type { TypedAim } from "./typedSheet";

const MOST_WORDS = 20;

/** Reads an aim; what is none of the choices counts as not chosen. */
export function readAim(typed: TypedAim): Aim {
  return {
    school: schoolOf(typed.school)?.slug ?? "none",
    eyeArea: typed.eyeArea,
    look: looks.find((look) => look === typed.look) ?? "any",
    leftOn: typed.leftOn === "profile" ? null : typed.leftOn === "left",
    forWhom: typed.forWhom.trim(),
    thickness: thicknessWishes.find((wish) => wish === typed.thickness) ?? "any",
    without: wordsOf(typed.without),
    closeTo: typed.closeTo.trim(),
  };
}

function wordsOf(text: string): readonly string[] {
  const words = text.split(/[,;]/).map((word) => word.trim());
  return [...new Set(words.filter((word) => word !== ""))].slice(0, MOST_WORDS);
}

/** The aim of a stored version, as its fields show it. */
export function typedAimOf(aim: Aim): TypedAim {
  return {
    ...aim,
    leftOn: aim.leftOn === null ? "profile" : aim.leftOn ? "left" : "rinsed",
    without: aim.without.join(", "),
  };
}
