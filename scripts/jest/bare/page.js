// A made-up browser for all test files of a process.
import { JSDOM } from 'jsdom';

const { window } = new JSDOM('<!doctype html>', { url: 'http://localhost/', pretendToBeVisual: true });
/** What Node.js has as well, but the page is asked for. */
const OF_PAGE = new Set([
  'AbortController',
  'AbortSignal',
  'Blob',
  'CustomEvent',
  'DOMException',
  'Event',
  'EventTarget',
  'File',
  'FormData',
  'MessageEvent',
  'navigator',
]);

for (const name of Object.getOwnPropertyNames(window))
  if (!name.startsWith('_') && (!(name in globalThis) || OF_PAGE.has(name)))
    Object.defineProperty(globalThis, name, {
      configurable: true,
      enumerable: true,
      get: () => window[name],
      set: (value) => {
        Object.defineProperty(globalThis, name, { configurable: true, writable: true, value });
      },
    });
for (const name of ['addEventListener', 'removeEventListener', 'dispatchEvent'])
  globalThis[name] = window[name].bind(window);
globalThis.window = globalThis;
globalThis.self = globalThis;
