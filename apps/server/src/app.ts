import 'reflect-metadata';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import expressStaticGzip from 'express-static-gzip';
import type { NextFunction, Request, Response } from 'express';
import { AppModule } from './app.module.js';
import { AccessService } from './access/access.service.js';
import { docsForOwner } from './access/docs-for-owner.js';
import { CONFIG, type Config, readConfig } from './config/config.js';
import { ErrorFilter } from './errors/error.filter.js';
import { validation } from './errors/validation.js';
import { shallowOnly } from './guard/depth.js';
import { fewGuesses } from './guard/guesses.js';
import { smaller } from './guard/smaller.js';
import { safeHeaders } from './guard/headers.js';
import { sameSiteOnly } from './guard/same-site.js';
import { Lines } from './log/lines.js';
import { numbered } from './log/request-number.js';
import { apiDocument } from './openapi/document.js';

function serveWeb(app: NestExpressApplication, folder: string): void {
  const page = join(folder, 'index.html');
  if (!existsSync(page)) return;
  // A file whose name holds its own hash is never another; scripts and styles were packed once, when they were built.
  const serveStatic = { immutable: true, maxAge: '365d', fallthrough: false };
  app.use(
    '/assets',
    expressStaticGzip(join(folder, 'assets'), { enableBrotli: true, orderPreference: ['br'], serveStatic }),
  );
  app.useStaticAssets(folder);
  app.use((request: Request, response: Response, next: NextFunction) => {
    const wantsPage = request.method === 'GET' && !request.path.startsWith('/api') && request.accepts('html');
    if (wantsPage) response.sendFile(page);
    else next();
  });
}

/** Under `/api/docs` to read, under `/api/docs-json` for programs; made when it is first asked for, so that the start does not wait. */
const describeApi = (app: NestExpressApplication): void =>
  SwaggerModule.setup('api/docs', app, () => apiDocument(app));

/** The whole application, not yet listening. */
export async function createApp(): Promise<NestExpressApplication> {
  const { tls, logLevel } = readConfig();
  const app = await NestFactory.create<NestExpressApplication>(AppModule, {
    forceCloseConnections: true,
    abortOnError: false,
    logger: new Lines(logLevel),
    ...(tls && { httpsOptions: { cert: readFileSync(tls.certFile), key: readFileSync(tls.keyFile) } }),
  });
  const { hosts, webFolder, isBehindProxy } = app.get<Config>(CONFIG);
  if (isBehindProxy) app.set('trust proxy', 1);
  app.use(numbered, safeHeaders('/api/docs'), sameSiteOnly(hosts), smaller());
  app.use(/^\/api\/calendar\/[^/]+\/washes\.ics$/, fewGuesses({ what: 'addresses', field: 'secret' }));
  app.use(/^\/api\/access\/session$/, fewGuesses({ what: 'passwords', field: 'password' }));
  app.use(/^\/api\/access\/pair$/, fewGuesses({ what: 'codes', field: 'code' }));
  app.use(/^\/api\/docs.*/, docsForOwner(app.get(AccessService)));
  // Files come as text in JSON; what may be in them is checked where they are read.
  app.useBodyParser('json', { limit: '12mb' });
  app.useBodyParser('raw', { type: 'image/*', limit: '10mb' });
  app.use(shallowOnly);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(validation());
  app.useGlobalFilters(new ErrorFilter());
  app.enableShutdownHooks();
  describeApi(app);
  serveWeb(app, webFolder);
  return app;
}
