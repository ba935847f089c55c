import { textLines } from "@tensidrum/core/instruments";
import type { Hearing, InstrumentKind, InstrumentLink } from "./instrumentLink";

export const baudRates = [1_200, 2_400, 4_800, 9_600, 19_200, 38_400, 57_600, 115_200] as const;

/** Whether this browser lets a page read a serial port. */
export function canReadSerial(): boolean {
  return typeof navigator !== "undefined" && "serial" in navigator;
}

/**
 * Asks the maker for a port and opens it. Answers the link, or why there is none: they chose none, or it is taken.
 * @param baudRate What the instrument is set to.
 */
export async function openSerial(
  kind: InstrumentKind,
  baudRate: number,
): Promise<{ readonly link: InstrumentLink } | { readonly problem: string }> {
  let port: SerialPort;
  try {
    port = await navigator.serial.requestPort();
  } catch {
    return { problem: "No port was chosen." };
  }
  try {
    await port.open({ baudRate });
  } catch {
    return { problem: "This port does not open. Is another program reading it?" };
  }
  return { link: serialLink(kind, port) };
}

const names: Readonly<Record<InstrumentKind, string>> = { scale: "scale", meter: "meter", cup: "cup" };

/** A real instrument on a serial port that sends lines of text. */
export function serialLink(kind: InstrumentKind, port: SerialPort): InstrumentLink {
  return {
    name: names[kind],
    isSimulated: false,
    listen(hearing) {
      const abort = new AbortController();
      void readPort(port, hearing, abort.signal);
      return () => abort.abort();
    },
    ...(kind === "scale" ? { tare: () => void sendTare(port) } : {}),
  };
}

async function readPort(port: SerialPort, { line, gone }: Hearing, signal: AbortSignal): Promise<void> {
  const decoder = new TextDecoder();
  const reader = port.readable?.getReader();
  if (reader === undefined) return gone("The port sends nothing.");
  signal.addEventListener("abort", () => void reader.cancel().catch(() => undefined), { once: true });
  let rest = "";
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) break;
      const read = textLines(rest, decoder.decode(value, { stream: true }));
      rest = read.rest;
      read.lines.forEach(line);
    }
    if (!signal.aborted) gone("It has ended its line.");
  } catch {
    if (!signal.aborted) gone("It was unplugged.");
  } finally {
    reader.releaseLock();
    await port.close().catch(() => undefined);
  }
}

/** What most scales take for "tare". Where one does not, its own key does. */
async function sendTare(port: SerialPort): Promise<void> {
  const writer = port.writable?.getWriter();
  await writer?.write(new TextEncoder().encode("T\r\n")).catch(() => undefined);
  writer?.releaseLock();
}
