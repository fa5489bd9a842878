import type { Client, InStatement, ResultSet, Transaction, TransactionMode } from '@libsql/client';
import { acting } from './acting.js';

const WRITES = /^\s*(insert|update|delete|replace)\b/i;
const textOf = (statement: InStatement | readonly [string, unknown?]): string =>
  typeof statement === 'string' ? statement : 'sql' in statement ? statement.sql : statement[0];

/** Says for whom the statements behind it are written; triggers read it in the same transaction. */
function signature(): InStatement {
  const by = acting();
  return {
    sql: 'update audit_actor set who = ?, device = ?, at_ms = ?',
    args: [by?.who ?? null, by?.device ?? null, by?.atMs ?? Date.now()],
  };
}

/** A client whose every write carries for whom it is made, in one transaction with it: what is written and who wrote it stand or fall together. */
export function signedClient(client: Client): Client {
  const batch: Client['batch'] = async (statements, mode) => {
    if (!statements.some((statement) => WRITES.test(textOf(statement))))
      return client.batch(statements, mode);
    const [, ...results] = await client.batch([signature(), ...statements], mode ?? 'write');
    return results;
  };
  const execute = async (statement: InStatement, args?: never): Promise<ResultSet> => {
    const whole = typeof statement === 'string' && args ? { sql: statement, args } : statement;
    if (!WRITES.test(textOf(whole))) return client.execute(whole);
    const [result] = await batch([whole], 'write');
    if (!result) throw new Error('a statement without a result');
    return result;
  };
  const transaction = async (mode: TransactionMode = 'write'): Promise<Transaction> => {
    const begun = await client.transaction(mode);
    if (mode !== 'read') await begun.execute(signature());
    return begun;
  };
  return new Proxy(client, {
    get(target, name) {
      if (name === 'execute') return execute;
      if (name === 'batch') return batch;
      if (name === 'transaction') return transaction;
      const value: unknown = Reflect.get(target, name, target);
      return typeof value === 'function' ? (value.bind(target) as unknown) : value;
    },
  });
}
