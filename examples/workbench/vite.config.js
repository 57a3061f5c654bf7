import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

/** Writes a service worker that keeps every file of the build, so that the page works without a network. */
function offline() {
  return {
    name: "offline",
    apply: "build",
    generateBundle(_options, bundle) {
      const files = ["./", ...Object.keys(bundle).map((file) => `./${file}`)];
      const version = Object.keys(bundle).join(" ");
      const source = `const version = ${JSON.stringify(version)};
const files = ${JSON.stringify(files)};
self.addEventListener("install", (event) => {
  event.waitUntil(caches.open(version).then((cache) => cache.addAll(files)).then(() => self.skipWaiting()));
});
self.addEventListener("activate", (event) => {
  const others = (names) => Promise.all(names.filter((name) => name !== version).map((name) => caches.delete(name)));
  event.waitUntil(caches.keys().then(others).then(() => self.clients.claim()));
});
self.addEventListener("fetch", (event) => {
  if (event.request.method !== "GET") return;
  event.respondWith(caches.match(event.request, { ignoreSearch: true, ignoreVary: true }).then((kept) => kept ?? fetch(event.request)));
});
`;
      this.emitFile({ type: "asset", fileName: "offline.js", source });
    },
  };
}

export default defineConfig({
  base: "./",
  plugins: [react(), offline()],
  worker: { format: "es" },
  // The demo lives beside the examples, outside this folder.
  server: { fs: { allow: ["../.."] } },
  build: { target: "es2023", chunkSizeWarningLimit: 700 },
});
