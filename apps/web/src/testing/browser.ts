import { TextDecoder, TextEncoder } from 'node:util';
import React from 'react';

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

/** React draws what it spends for a developer's tools, which nobody looks at here; it does without where these are missing. */
Object.assign(console, { timeStamp: undefined, createTask: undefined });

/** It also keeps where in the source each element was made, which takes a quarter of the time, until it has kept so many; here it always has. */
const OWNER_STACKS = 'recentlyCreatedOwnerStacks';
const ENOUGH = 10_000;
const internals: unknown = Reflect.get(
  React,
  '__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE',
);
if (typeof internals === 'object' && internals !== null && OWNER_STACKS in internals)
  Object.defineProperty(internals, OWNER_STACKS, { get: () => ENOUGH, set() {} });

/** Labels of a field, as the made-up browser finds them, but without looking at every label of the page for each of its fields. */
function labelsOf(this: Element): Element[] {
  const named = this.id === '' ? [] : document.querySelectorAll(`label[for=${JSON.stringify(this.id)}]`);
  const around = this.closest('label');
  return [...new Set([...named, ...(around && !around.hasAttribute('for') ? [around] : [])])];
}
for (const kind of [HTMLInputElement, HTMLButtonElement, HTMLSelectElement, HTMLTextAreaElement])
  Object.defineProperty(kind.prototype, 'labels', { configurable: true, get: labelsOf });
