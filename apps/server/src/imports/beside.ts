import type { MessagePort } from 'node:worker_threads';
import { HttpException } from '@nestjs/common';
import { FieldError } from '@keen/core';
import { answerFor } from '../errors/error.filter.js';

/** What came of a file that was read in a thread; a refusal is passed on as the answer it would be, since errors lose their class on the way. */
export type Outcome<Found> =
  | { readonly kind: 'read'; readonly found: Found }
  | { readonly kind: 'refused'; readonly status: number; readonly body: object };

/** What a thread is given: the file, and where it says that it has begun. */
export interface Order<Job> {
  readonly job: Job;
  readonly begun: MessagePort;
}

/** The program of a thread that reads one kind of file. */
export const answering =
  <Job, Found>(read: (job: Job) => Found) =>
  ({ job, begun }: Order<Job>): Outcome<Found> => {
    begun.postMessage(null);
    begun.close();
    try {
      return { kind: 'read', found: read(job) };
    } catch (error) {
      if (error instanceof HttpException || error instanceof FieldError)
        return { kind: 'refused', ...answerFor(error) };
      throw error;
    }
  };
