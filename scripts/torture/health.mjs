// Asks again and again whether the server is there, and tells how long it took at worst once it is over.
import { parentPort, workerData } from 'node:worker_threads';

let isOver = false;
let worst = 0;
parentPort.once('message', () => (isOver = true));
parentPort.postMessage('begun');
while (!isOver) {
  const from = performance.now();
  await fetch(workerData)
    .then((response) => response.text())
    .catch(() => null);
  worst = Math.max(worst, performance.now() - from);
  await new Promise((done) => setTimeout(done, 10));
}
parentPort.postMessage(worst);
