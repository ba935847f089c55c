import { connect, createServer, type Socket } from "node:net";
import { freePort } from "../../scripts/cluster.mjs";

export interface CutWire {
  readonly address: string;
  /** Breaks every connection and refuses new ones, as a network that is gone does. */
  cut(): void;
  fixWith(): void;
  close(): Promise<void>;
}

/** A wire between browser and application that the test can cut for real. */
export async function cutWire(target: string): Promise<CutWire> {
  const { hostname, port: targetPort } = new URL(target);
  const sockets = new Set<Socket>();
  let isCut = false;
  const server = createServer((near) => {
    if (isCut) {
      near.destroy();
      return;
    }
    const far = connect(Number(targetPort), hostname);
    for (const socket of [near, far]) {
      sockets.add(socket);
      socket.on("close", () => {
        sockets.delete(socket);
        near.destroy();
        far.destroy();
      });
      socket.on("error", () => undefined);
    }
    near.pipe(far).pipe(near);
  });
  const port = await freePort();
  await new Promise<void>((resolve) => server.listen(port, "127.0.0.1", resolve));
  const breakAll = (): void => {
    for (const socket of sockets) socket.destroy();
  };
  return {
    address: `http://127.0.0.1:${port}`,
    cut() {
      isCut = true;
      breakAll();
    },
    fixWith() {
      isCut = false;
    },
    close() {
      breakAll();
      return new Promise((resolve) => server.close(() => resolve()));
    },
  };
}
