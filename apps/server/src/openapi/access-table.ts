import type { Role } from '@keen/core';
import { readOperations } from './operations.js';
import { ANYBODY, mayDo } from '../access/may.js';

const OTHERS: readonly Role[] = ['helper', 'bookkeeper'];

/** Every operation of the API and who may do it, for the documentation; the owner may do all. */
export function accessTable(): string {
  const rows = readOperations().operations.map(({ name, summary }) => {
    const yes = (role: Role): string => (ANYBODY.has(name) ? 'anybody' : mayDo(role, name) ? 'yes' : '');
    const [controller = '', method = ''] = name.split('_');
    const called = `${controller.replace('Controller', '')}, ${method}`;
    return `| ${called} | ${summary} | ${OTHERS.map(yes).join(' | ')} |`;
  });
  return ['| operation | what it does | helper | bookkeeper |', '| --- | --- | --- | --- |', ...rows].join(
    '\n',
  );
}
