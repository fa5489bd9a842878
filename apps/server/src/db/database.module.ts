import { Global, Inject, Module, type OnModuleDestroy } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import { openDatabase, type OpenDatabase } from './database.js';
import { ownFolder } from './folder-lock.js';

export const OPEN_DATABASE = Symbol('open database');
export const DATABASE = Symbol('database');

/** The database of a folder that is this server's own. */
async function openOwned(config: Config): Promise<OpenDatabase> {
  const giveBack = ownFolder(config.dataFolder);
  const open = await openDatabase(config);
  return { ...open, close: () => open.close().finally(giveBack) };
}

@Global()
@Module({
  providers: [
    { provide: OPEN_DATABASE, inject: [CONFIG], useFactory: openOwned },
    { provide: DATABASE, inject: [OPEN_DATABASE], useFactory: (open: OpenDatabase) => open.db },
  ],
  exports: [DATABASE, OPEN_DATABASE],
})
export class DatabaseModule implements OnModuleDestroy {
  constructor(@Inject(OPEN_DATABASE) private readonly open: OpenDatabase) {}

  async onModuleDestroy(): Promise<void> {
    await this.open.close();
  }
}
