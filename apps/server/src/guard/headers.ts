import type { NextFunction, Request, RequestHandler, Response } from 'express';
import helmet from 'helmet';

const OWN = ["'self'"];

/** What a page of the program may load: its own, no script in the page itself; Mantine and the charts write styles there. */
const DIRECTIVES = {
  defaultSrc: OWN,
  scriptSrc: OWN,
  scriptSrcAttr: ["'none'"],
  styleSrc: [...OWN, "'unsafe-inline'"],
  imgSrc: [...OWN, 'data:', 'blob:'],
  fontSrc: OWN,
  connectSrc: OWN,
  workerSrc: [...OWN, 'blob:'],
  manifestSrc: OWN,
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  formAction: OWN,
  frameAncestors: ["'none'"],
} as const;

const headersWith = (scriptSrc: readonly string[]): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: Object.fromEntries(
        Object.entries({ ...DIRECTIVES, scriptSrc }).map(([name, sources]) => [name, [...sources]]),
      ),
    },
    // It is served without TLS on the machine itself.
    strictTransportSecurity: false,
    xFrameOptions: { action: 'deny' },
    referrerPolicy: { policy: 'no-referrer' },
  });

/** The headers of every answer; the description of the API has a script in its page. */
export function safeHeaders(docsPath: string): RequestHandler {
  const ofPages = headersWith(OWN);
  const ofDocs = headersWith([...OWN, "'unsafe-inline'"]);
  return (request: Request, response: Response, next: NextFunction) =>
    (request.path.startsWith(docsPath) ? ofDocs : ofPages)(request, response, next);
}
