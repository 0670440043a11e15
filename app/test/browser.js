// What jsdom lacks of a browser, in its plainest true form.
const { webcrypto } = require('node:crypto');

if (!globalThis.structuredClone) globalThis.structuredClone = (value) => JSON.parse(JSON.stringify(value));
if (!globalThis.crypto?.getRandomValues) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
if (globalThis.navigator && !globalThis.navigator.locks) {
  Object.defineProperty(globalThis.navigator, 'locks', { value: { request: (_name, work) => work() } });
}
