import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Instrument } from "./instrument";
import type { Hearing, InstrumentLink } from "./instrumentLink";
import { serialLink } from "./serialLink";

/** A link whose lines are said by the test. */
function saidLink(): InstrumentLink & { say(text: string): void; go(why: string): void; isHeard(): boolean } {
  let hearing: Hearing | null = null;
  return {
    name: "scale",
    isSimulated: false,
    listen(heard) {
      hearing = heard;
      return () => (hearing = null);
    },
    say: (text) => hearing?.line(text),
    go: (why) => hearing?.gone(why),
    isHeard: () => hearing !== null,
  };
}

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

describe("an instrument at the bench", () => {
  it("shows what its lines say, and tells those who listen only when that changes", () => {
    const scale = new Instrument("scale");
    const link = saidLink();
    scale.connect(link);
    const told = vi.fn();
    scale.subscribe(told);
    link.say("S 61.38 g");
    link.say("S 61.38 g");
    link.say("### noise");
    expect(scale.now().shows).toEqual({ kind: "reading", value: 61.38, unit: "g", isStable: true });
    expect(told).toHaveBeenCalledTimes(1);
  });

  it("of another unit it says which, and a temperature stands beside a pH", () => {
    const [scale, meter] = [new Instrument("scale"), new Instrument("meter")];
    const [first, second] = [saidLink(), saidLink()];
    scale.connect(first);
    meter.connect(second);
    first.say("S 7.42 pH");
    second.say("S 7.42 pH");
    second.say("22.5 C");
    expect(scale.now().shows).toEqual({ kind: "other-unit", unit: "pH" });
    expect(meter.now()).toMatchObject({ shows: { value: 7.42 }, temperatureC: 22.5 });
  });

  it("three seconds without a line are quiet, the next line ends that; a cup may be silent", () => {
    const [scale, cup] = [new Instrument("scale"), new Instrument("cup")];
    const link = saidLink();
    scale.connect(link);
    cup.connect(saidLink());
    link.say("S 1.00 g");
    vi.advanceTimersByTime(2_999);
    expect(scale.now().isQuiet).toBe(false);
    vi.advanceTimersByTime(1);
    expect(scale.now()).toMatchObject({ isQuiet: true, shows: null });
    expect(cup.now().isQuiet).toBe(false);
    link.say("S 1.00 g");
    expect(scale.now()).toMatchObject({ isQuiet: false, shows: { value: 1 } });
  });

  it("gone it says why and shows nothing; put away it is no more heard", () => {
    const scale = new Instrument("scale");
    const link = saidLink();
    scale.connect(link);
    link.say("S 1.00 g");
    link.go("It was unplugged.");
    expect(scale.now()).toMatchObject({ gone: "It was unplugged.", shows: null });
    scale.disconnect();
    expect(link.isHeard()).toBe(false);
    expect(scale.now().link).toBeNull();
  });
});

describe("a cable", () => {
  const ended = async (play: (controller: ReadableStreamDefaultController<Uint8Array>) => void) => {
    vi.useRealTimers();
    const lines: string[] = [];
    const closed = vi.fn(() => Promise.resolve());
    const readable = new ReadableStream<Uint8Array>({ start: play });
    const port = { readable, writable: null, close: closed } as unknown as SerialPort;
    const why = await new Promise<string>((gone) => {
      serialLink("scale", port).listen({ line: (text) => lines.push(text), gone });
    });
    await vi.waitFor(() => expect(closed).toHaveBeenCalled());
    return { lines, why };
  };
  const bytes = (text: string) => new TextEncoder().encode(text);

  it("a character that is cut in two and a line that is cut in three come out whole", async () => {
    const degree = bytes("23.4 °C\r\n");
    const { lines, why } = await ended((controller) => {
      controller.enqueue(bytes("S 61"));
      controller.enqueue(bytes(".3"));
      controller.enqueue(bytes("8 g\r\n"));
      controller.enqueue(degree.slice(0, 6));
      controller.enqueue(degree.slice(6));
      controller.close();
    });
    expect(lines).toEqual(["S 61.38 g", "23.4 °C"]);
    expect(why).toBe("It has ended its line.");
  });

  it("a plug that is pulled in the middle of a line tells it, and the half line is none", async () => {
    const { lines, why } = await ended((controller) => {
      controller.enqueue(bytes("S 1.00 g\r\nS 61."));
      setTimeout(() => controller.error(new Error("gone")), 5);
    });
    expect(lines).toEqual(["S 1.00 g"]);
    expect(why).toBe("It was unplugged.");
  });
});
