import { createClient, type Client } from '@libsql/client';
import { StartError } from '../config/config.js';

/** Copies a database as it stands into one whole file, also while it is in use. */
export async function copyWhole(client: Client, target: string): Promise<void> {
  await client.execute({ sql: 'vacuum into ?', args: [target] });
}

/** Opens a copy and looks at all of it. @throws StartError where it is damaged, or no database of this program */
export async function requireSound(file: string): Promise<void> {
  const client = createClient({ url: `file:${file}` });
  try {
    const { rows } = await client.execute('pragma integrity_check');
    if (rows[0]?.integrity_check !== 'ok') throw new StartError(`${file} is damaged; nothing was changed.`);
    const vehicles = await client.execute("select name from sqlite_master where name = 'vehicle'");
    if (vehicles.rows.length === 0)
      throw new StartError(`${file} is not a Keen Rinse database; nothing was changed.`);
  } catch (error) {
    if (error instanceof StartError) throw error;
    throw new StartError(`${file} cannot be read as a database; nothing was changed.`);
  } finally {
    client.close();
  }
}
