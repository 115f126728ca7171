// Adds to package-lock.json the optional packages of other platforms that the
// registry at hand did not have when the lock was written. Without them `npm ci`
// calls the lock out of step with package.json and refuses it.
//
// Run after every `npm install` that changed a dependency: npm run lock
import { readFileSync, writeFileSync } from "node:fs";

const SYSTEMS = ["android", "darwin", "linux", "win32", "freebsd", "netbsd", "openbsd", "openharmony", "sunos", "aix"];
const PROCESSORS = ["arm64", "x64", "arm", "ia32", "riscv64", "ppc64", "s390x", "loong64", "mips64el", "wasm32"];

const file = new URL("../package-lock.json", import.meta.url);
const lock = JSON.parse(readFileSync(file, "utf8"));

for (const owner of Object.values(lock.packages)) {
  for (const [name, range] of Object.entries(owner.optionalDependencies ?? {})) {
    const key = `node_modules/${name}`;
    const parts = name.split("/").pop().split("-");
    const system = parts.find((part) => SYSTEMS.includes(part));
    const processor = parts.find((part) => PROCESSORS.includes(part));
    if (lock.packages[key] || !(system || processor)) continue;

    lock.packages[key] = {
      version: range.replace(/^[\^~]/, ""),
      optional: true,
      ...(owner.dev && { dev: true }),
      ...(system && { os: [system] }),
      ...(processor && { cpu: [processor] }),
      ...(parts.includes("musl") && { libc: ["musl"] }),
    };
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`);
