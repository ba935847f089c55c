import { describe, expect, it } from "vitest";
import { answerOf } from "./answerOf";

const HERE = "http://127.0.0.1:4180";
const BATCH = "/bench/5ea50000-0000-4000-8000-00000000a200";
const of = (path: string, method = "GET") => answerOf(method, new URL(path, HERE), HERE);

describe("without the server", () => {
  it("scripts and styles come from what was kept", () => {
    expect(of("/assets/root-a1b2.js")).toBe("kept-first");
  });

  it.each([BATCH, `${BATCH}.data`, `${BATCH}/record`, `${BATCH}/record.data?x=1`, `${BATCH.replace("bench", "watch")}?sample=warm`])(
    "%s is the server's, else what was kept",
    (path) => {
      expect(of(path)).toBe("server-first");
    },
  );

  it.each([`${BATCH}/news`, `${BATCH}/entries`, `${BATCH}/record.json`, "/bench", "/", "/shelf", `/sheet${BATCH}`])(
    "%s goes past",
    (path) => {
      expect(of(path)).toBe("past");
    },
  );

  it("what is sent, and other origins, go past", () => {
    expect(of(BATCH, "POST")).toBe("past");
    expect(of("http://elsewhere.invalid/assets/a.js")).toBe("past");
  });
});
