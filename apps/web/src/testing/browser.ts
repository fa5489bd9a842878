import { TextDecoder, TextEncoder } from 'node:util';

/** What a browser has and the made-up one lacks. */
const LACKING: Readonly<Record<string, unknown>> = {
  TextDecoder,
  TextEncoder,
  IS_REACT_ACT_ENVIRONMENT: true,
  matchMedia: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
  ResizeObserver: class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
};
Object.assign(globalThis, LACKING);
Object.assign(document, {
  fonts: { addEventListener: () => undefined, removeEventListener: () => undefined },
});
Object.assign(Element.prototype, { scrollIntoView: () => undefined });
