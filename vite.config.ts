import { reactRouter } from "@react-router/dev/vite";
import { defineConfig, type Plugin } from "vite";

/** The worker that stands in for the server keeps its name over every build: browsers look for a newer one under it. */
const benchWorker: Plugin = {
  name: "bench-worker",
  apply: "build",
  buildStart() {
    if (this.environment.name !== "client") return;
    this.emitFile({ type: "chunk", id: "./workers/offline/benchWorker.ts", fileName: "bench-worker.js" });
  },
};

/** Reads recipes beside the server's thread; the server finds it by its name. */
const recipeWorker: Plugin = {
  name: "recipe-worker",
  apply: "build",
  buildStart() {
    if (this.environment.name !== "ssr") return;
    this.emitFile({ type: "chunk", id: "./workers/recipe.node.ts", fileName: "recipeWorker.js" });
  },
};

/**
 * By itself every set of pages would have its shared modules in a file of its own, seventy for one page. What most pages need
 * stands in one file, what is small and needed by many in another.
 */
const groups = [
  { name: "frame", minShareCount: 30, priority: 20 },
  { name: "small", minShareCount: 10, maxModuleSize: 3_000, priority: 10 },
];
/** The names of shared files stand in the list of routes that every page loads; without words it is a sixth smaller. */
const chunkFileNames = "assets/[hash].js";

export default defineConfig({
  logLevel: "warn",
  plugins: [reactRouter(), benchWorker, recipeWorker],
  environments: {
    client: { build: { rolldownOptions: { output: { codeSplitting: { groups }, chunkFileNames } } } },
    ssr: {
      build: { rollupOptions: { input: "./server/application.ts" } },
      resolve: { noExternal: ["@tensidrum/core"] },
    },
  },
  worker: { format: "es" },
  // Small fonts would become data: addresses, which the font policy refuses.
  build: { assetsInlineLimit: 0 },
  optimizeDeps: {
    include: [
      "@mantine/core",
      "@mantine/hooks",
      "@dnd-kit/core",
      "@dnd-kit/sortable",
      "@dnd-kit/utilities",
      "minisearch",
      "dayjs",
      "get-nonce",
    ],
  },
});
