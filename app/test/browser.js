// What jsdom lacks of a browser, in its plainest true form.
const { webcrypto } = require('node:crypto');
const { TextDecoder, TextEncoder } = require('node:util');

/** A structured clone of what the device keeps; keys of the web's cryptography are shared, as they cannot be changed. */
function cloned(value) {
  if (typeof value !== 'object' || value === null || value.constructor?.name === 'CryptoKey') return value;
  if (Array.isArray(value)) return value.map(cloned);
  if (ArrayBuffer.isView(value) || Object.prototype.toString.call(value) === '[object ArrayBuffer]')
    return value.slice();
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, cloned(inner)]));
}
globalThis.structuredClone ??= cloned;
if (!globalThis.crypto?.subtle) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
if (globalThis.navigator && !globalThis.navigator.locks) {
  // Each waits for the one before it, as the real locks do within one browser.
  let last = Promise.resolve();
  const request = (_name, work) => {
    const mine = last.then(() => work());
    last = mine.catch(() => undefined);
    return mine;
  };
  Object.defineProperty(globalThis.navigator, 'locks', { value: { request } });
}
