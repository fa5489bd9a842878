import { Global, Module } from '@nestjs/common';
import { CONFIG, readConfig } from './config.js';

@Global()
@Module({ providers: [{ provide: CONFIG, useFactory: () => readConfig() }], exports: [CONFIG] })
export class ConfigModule {}
