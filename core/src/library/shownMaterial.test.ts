import { describe, expect, it } from "vitest";
import { materialOf } from "../testing/exampleSheet.ts";
import { roleOf, shownInci, shownMaterial } from "./shownMaterial.ts";

describe("a material as shown", () => {
  it("parts name and detail at the first comma", () => {
    expect(shownMaterial(materialOf("cocamidopropyl-betaine"))).toEqual({
      name: "Cocamidopropyl betaine",
      detail: "about 30 % active",
    });
    expect(shownMaterial(materialOf("water-distilled")).detail).toBe("");
  });

  it("lets a comma in brackets be", () => {
    const dye = { ...materialOf("glycerin"), name: "Dye (blue, CI 42090 type), 88 %" };
    expect(shownMaterial(dye)).toEqual({ name: "Dye (blue, CI 42090 type)", detail: "88 %" });
  });

  it("leaves the water out of the INCI names unless it is all there is", () => {
    expect(shownInci(materialOf("cocamidopropyl-betaine"))).toBe("Cocamidopropyl Betaine, Sodium Chloride, Glycerin");
    expect(shownInci(materialOf("water-distilled"))).toBe("Aqua");
  });

  it("says roles in a maker's words", () => {
    expect(roleOf(materialOf("lactic-acid"))).toBe("sets pH");
    expect(roleOf(materialOf("glycerin"))).toBe("humectant");
  });
});
