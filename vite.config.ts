import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

export default defineConfig({
  logLevel: "warn",
  plugins: [reactRouter()],
  environments: {
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
      "fuse.js",
      "dayjs",
      "get-nonce",
    ],
  },
});
