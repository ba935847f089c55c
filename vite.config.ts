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
