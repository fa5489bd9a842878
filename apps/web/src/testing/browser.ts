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
  /** What is sent arrives in a turn of its own, which is all that is asked of it. */
  MessageChannel: class {
    readonly port1: { onmessage: (() => void) | null } = { onmessage: null };
    readonly port2 = { postMessage: (): void => void setTimeout(() => this.port1.onmessage?.()) };
  },
};
Object.assign(globalThis, LACKING);
Object.assign(document, {
  fonts: { addEventListener: () => undefined, removeEventListener: () => undefined },
});
Object.assign(Element.prototype, { scrollIntoView: () => undefined });
