import { Global, Module } from '@nestjs/common';
import { FileReader } from './file-reader.js';

@Global()
@Module({ providers: [FileReader], exports: [FileReader] })
export class ImportsModule {}
