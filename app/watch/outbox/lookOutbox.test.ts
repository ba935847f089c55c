import { describe, expect, it } from "vitest";
import type { KeptLook, LookKeep } from "./lookKeep";
import { keepAndSend, keptLook, sendWaiting } from "./lookOutbox";

function inMemory(): LookKeep {
  const looks = new Map<string, KeptLook>();
  return {
    all: (batch) => Promise.resolve([...looks.values()].filter((look) => look.batch === batch)),
    put: (look) => Promise.resolve(looks.set(look.id, look)),
    remove: (id) => Promise.resolve(looks.delete(id)),
  };
}

function look(id: string, fields: Readonly<Record<string, string>> = {}): KeptLook {
  const form = new FormData();
  for (const [name, value] of Object.entries({ id, ph: "5.1", ...fields })) form.append(name, value);
  form.append("signs", "mould");
  form.append("signs", "swelling");
  return keptLook("b1", form);
}

const away = () => Promise.reject(new Error("no way there"));
const wrong = { typed: {}, problems: [{ field: "ph", message: "A pH lies between 0 and 14." }], sentence: "A pH lies between 0 and 14." };

describe("a look without the server", () => {
  it("waits on the device, and goes out once, with everything that was filled in", async () => {
    const keep = inMemory();
    expect(await keepAndSend(keep, look("a"), away)).toEqual({ kind: "waits" });
    expect(await sendWaiting(keep, "b1", () => Promise.resolve(new Response(null, { status: 503 })))).toBe(0);
    const gone: string[] = [];
    const there = (address: string, form: FormData) => {
      gone.push(`${address} ${form.get("id") as string} ${form.getAll("signs").join("+")}`);
      return Promise.resolve(Response.json({ isKept: true }));
    };
    expect(await sendWaiting(keep, "b1", there)).toBe(1);
    expect(await sendWaiting(keep, "b1", there)).toBe(0);
    expect(gone).toEqual(["/watch/b1/looks a mould+swelling"]);
  });

  it("that the server will not take stays with why, and does not hold up the next", async () => {
    const keep = inMemory();
    await keepAndSend(keep, look("a"), away);
    await keepAndSend(keep, look("b"), away);
    const picky = (_: string, form: FormData) =>
      Promise.resolve(form.get("id") === "a" ? Response.json(wrong, { status: 422 }) : Response.json({ isKept: true }));
    expect(await sendWaiting(keep, "b1", picky)).toBe(1);
    expect(await keep.all("b1")).toMatchObject([{ id: "a", why: "A pH lies between 0 and 14." }]);
  });

  it("sent at once and refused is the form's to mend", async () => {
    const keep = inMemory();
    const outcome = await keepAndSend(keep, look("a", { ph: "51" }), () => Promise.resolve(Response.json(wrong, { status: 422 })));
    expect(outcome).toMatchObject({ kind: "refused", answer: { sentence: "A pH lies between 0 and 14." } });
    expect(await keep.all("b1")).toEqual([]);
  });
});
