/** A serial port that plays a recorded stream of a scale and is unplugged when it is told to be. */
export const fakeSerial = `
  let send;
  const port = {
    readable: null,
    writable: null,
    async open() {
      this.readable = new ReadableStream({ start(controller) { send = controller; } });
      this.writable = new WritableStream({ write(piece) { window.written = (window.written ?? "") + new TextDecoder().decode(piece); } });
    },
    async close() {},
  };
  Object.defineProperty(navigator, "serial", { value: { requestPort: async () => port } });
  window.play = (text) => send.enqueue(new TextEncoder().encode(text));
  window.unplug = () => send.error(new Error("gone"));
`;
