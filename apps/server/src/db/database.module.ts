import { Global, Inject, Module, type OnModuleDestroy } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import { openDatabase, type OpenDatabase } from './database.js';

export const OPEN_DATABASE = Symbol('open database');
export const DATABASE = Symbol('database');

@Global()
@Module({
  providers: [
    { provide: OPEN_DATABASE, inject: [CONFIG], useFactory: (config: Config) => openDatabase(config) },
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
