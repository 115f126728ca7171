import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { compressed } from "./scripts/compressed.ts";
import { fonts } from "./scripts/fonts.ts";
import { guide } from "./scripts/guide.ts";
import { messages } from "./scripts/messages.ts";

/** The toasts' styles come as a file (see main.tsx): the page's policy lets no script write styles into it. */
const toastStylesFromFile: Plugin = {
  name: "toast-styles-from-file",
  transform: (code, id) => (id.includes("/sonner/dist/") ? code.replace(/^__insertCSS\(.*\);?$/m, "") : undefined),
};

export default defineConfig({
  // Files name one another by where they lie; the page's own names are made whole by the server.
  base: "./",
  plugins: [messages, guide, toastStylesFromFile, react(), tailwindcss(), fonts, compressed],
  build: { chunkSizeWarningLimit: 900, assetsInlineLimit: 0 },
  server: { proxy: { "/api": "http://127.0.0.1:4567" } },
});
