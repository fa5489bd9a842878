import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import type { Request, Response } from 'express';
import { turnedAway } from '../errors/api-error.js';
import { WashesRepository } from '../records/washes.repository.js';
import { AccessService, type Asker } from './access.service.js';
import { ANYBODY, mayDo } from './may.js';

/** Of one wash, which has to be a helper's own. */
const OF_ONE_WASH = /^(RunsController_|WashesController_read$)/;

/** The operation of a request, as the API's description names it. */
export const operationOf = (context: ExecutionContext): string =>
  `${context.getClass().name}_${context.getHandler().name}`;

/** Lets in who is signed in and may do what is asked; everybody where no account has been made. */
@Injectable()
export class AccessGuard implements CanActivate {
  constructor(
    private readonly access: AccessService,
    private readonly washes: WashesRepository,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const operation = operationOf(context);
    if (ANYBODY.has(operation) || (await this.access.isOpen())) return true;
    const http = context.switchToHttp();
    const request = http.getRequest<Request & { who?: Asker }>();
    const { who, cookies } = await this.access.recognise(request.headers);
    if (!who)
      throw turnedAway(401, {
        code: 'not-signed-in',
        field: null,
        message: 'Sign in first. What you were doing is kept on this screen.',
      });
    if (cookies.length > 0) http.getResponse<Response>().append('set-cookie', [...cookies]);
    request.who = who;
    if (!mayDo(who.role, operation))
      throw turnedAway(403, {
        code: 'not-yours',
        field: null,
        message: `A ${who.role} may not do this; ask the owner of the shop.`,
      });
    if (who.role === 'helper' && OF_ONE_WASH.test(operation)) await this.requireOwn(request, who);
    return true;
  }

  private async requireOwn({ params }: Request, { workerId }: Asker): Promise<void> {
    const wash = await this.washes.find(String(params.washId ?? params.id));
    if (workerId === null || wash?.workerId !== workerId)
      throw turnedAway(403, {
        code: 'not-yours',
        field: null,
        message: 'This wash is somebody else’s; a helper sees only their own.',
      });
  }
}
