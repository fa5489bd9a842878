import { ANYBODY } from '../access/may.js';
import type { Operation } from './operations.js';

/** Faults by status, and whether an operation can have them. */
export const FAULTS: readonly { status: string; description: string; when: (of: Shape) => boolean }[] = [
  {
    status: '400',
    description: 'Something that was sent is out of its range or of another kind; `field` names it.',
    when: ({ operation, hasPath }) => operation.body !== null || operation.query !== null || hasPath,
  },
  {
    status: '401',
    description: 'Nobody is signed in, and an account has been made.',
    when: ({ operation }) => !ANYBODY.has(operation.name),
  },
  {
    status: '403',
    description: 'The role of who is signed in may not do this, or a page from elsewhere asks it.',
    when: ({ operation, method }) => !ANYBODY.has(operation.name) || method !== 'get',
  },
  { status: '404', description: 'What the path names is not there.', when: ({ hasPath }) => hasPath },
  {
    status: '409',
    description: 'It changed meanwhile, or something else is in the way.',
    when: ({ operation, method }) => operation.body !== null || method === 'delete',
  },
  { status: 'default', description: 'Any other fault.', when: () => true },
];

export interface Shape {
  readonly operation: Operation;
  readonly method: string;
  readonly hasPath: boolean;
}
