import { TextDecoder, TextEncoder } from 'node:util';

/** What a browser has and the made-up one lacks. */
globalThis.matchMedia ??= (query) => ({
  matches: false,
  media: query,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
  addListener: () => undefined,
  removeListener: () => undefined,
});
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.IS_REACT_ACT_ENVIRONMENT = true;
Object.assign(globalThis, { TextDecoder, TextEncoder });
document.fonts ??= { addEventListener: () => undefined, removeEventListener: () => undefined };
Element.prototype.scrollIntoView ??= () => undefined;
HTMLDialogElement.prototype.showModal ??= function showModal() {
  this.open = true;
};
HTMLDialogElement.prototype.close ??= function close() {
  this.open = false;
};
