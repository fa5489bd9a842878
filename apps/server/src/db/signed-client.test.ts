import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { type Client, createClient } from '@libsql/client';
import { acting, actingFor } from './acting.js';
import { signedClient } from './signed-client.js';

const JON = { who: 'Jon', device: 'phone', atMs: 5 };

let plain: Client;
let client: Client;
beforeEach(async () => {
  plain = createClient({ url: 'file::memory:' });
  await plain.batch(
    [
      'create table audit_actor (id integer primary key, who text, device text, at_ms integer not null)',
      'insert into audit_actor (id, at_ms) values (1, 0)',
      'create table car (name text)',
      'create table seen (who text, device text, at_ms integer)',
      'create trigger car_insert after insert on car begin insert into seen select who, device, at_ms from audit_actor; end',
    ],
    'write',
  );
  client = signedClient(plain);
});
afterEach(() => plain.close());

const seen = async () =>
  (await plain.execute('select * from seen')).rows.map(({ who, device, at_ms }) => [who, device, at_ms]);

describe('a client that signs what it writes', () => {
  it('tells a trigger for whom a row is written, and gives back what the statement gave', async () => {
    const { rows } = await actingFor(JON, () =>
      client.execute({ sql: 'insert into car values (?) returning name', args: ['van'] }),
    );
    expect(rows.map(({ name }) => name)).toEqual(['van']);
    expect(await seen()).toEqual([['Jon', 'phone', 5]]);
  });

  it('signs each batch once, and answers for the statements that were asked', async () => {
    const results = await actingFor(JON, () =>
      client.batch([
        'insert into car values (1)',
        'select count(*) as n from car',
        'insert into car values (2)',
      ]),
    );
    expect(results).toHaveLength(3);
    expect(results[1]?.rows[0]?.n).toBe(1);
    expect(await seen()).toHaveLength(2);
  });

  it('does not lend one asker’s name to the next, nor keep it after', async () => {
    await Promise.all([
      actingFor(JON, async () => {
        await Promise.resolve();
        await client.execute('insert into car values (1)');
      }),
      actingFor({ who: 'Ida', device: null, atMs: 6 }, () => client.execute('insert into car values (2)')),
    ]);
    expect((await seen()).map(([who]) => who).sort()).toEqual(['Ida', 'Jon']);
    expect(acting()).toBeNull();
    await client.execute('insert into car values (3)');
    expect((await seen()).at(-1)?.[0]).toBeNull();
  });

  it('signs a transaction that is opened by hand', async () => {
    await plain.execute("update audit_actor set who = 'Ida'");
    await actingFor(JON, async () => {
      const begun = await client.transaction('write');
      await begun.execute('insert into car values (1)');
      await begun.commit();
    });
    expect((await seen()).map(([who]) => who)).toEqual(['Jon']);
  });

  it('leaves reading alone', async () => {
    await actingFor(JON, () => client.execute('select * from car'));
    expect((await plain.execute('select who from audit_actor')).rows[0]?.who).toBeNull();
  });

  it('writes nothing where one statement fails', async () => {
    await expect(
      client.batch(['insert into car values (1)', 'insert into nothing values (1)']),
    ).rejects.toThrow();
    expect(await seen()).toEqual([]);
  });
});
