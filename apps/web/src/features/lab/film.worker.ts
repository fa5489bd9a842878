import { expose } from 'comlink';
import { traceAnswer } from './trace-answer.js';

const worker = { trace: traceAnswer };

export type FilmWorker = typeof worker;

expose(worker);
