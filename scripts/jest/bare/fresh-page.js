// What one test has shown is gone before the next, and what one file has kept before the next file.
import { addEventHandler } from 'jest-circus';
import { VENDOR_OF_WEB } from '../vendor.js';

const { cleanup } = await import(VENDOR_OF_WEB.get('@testing-library/react'));

const { document, localStorage, sessionStorage } = globalThis;
const seen = new WeakSet();

function empty() {
  document.body.replaceChildren();
  localStorage.clear();
  sessionStorage.clear();
}

addEventHandler((_event, { rootDescribeBlock: root }) => {
  if (seen.has(root)) return;
  seen.add(root);
  root.hooks.push({ type: 'afterEach', fn: cleanup }, { type: 'afterAll', fn: empty });
});
