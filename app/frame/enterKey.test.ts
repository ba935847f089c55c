import { describe, expect, it } from "vitest";
import { enterSends } from "./enterKey";

describe("Enter in a field", () => {
  const form = { isAsking: false, sends: false, fields: 1, buttons: 1 };
  it.each([
    ["one field and its button", {}, true],
    ["a form with several fields", { fields: 2 }, false],
    ["a form with several buttons", { buttons: 2 }, false],
    ["a form that only asks", { isAsking: true, fields: 5, buttons: 2 }, true],
    ["a form that enters one thing", { sends: true, fields: 3, buttons: 2 }, true],
  ])("%s", (_, changes, sends) => {
    expect(enterSends({ ...form, ...changes })).toBe(sends);
  });
});
