import { type CallHandler, type ExecutionContext, Injectable, type NestInterceptor } from '@nestjs/common';
import { Observable } from 'rxjs';
import type { Asker } from '../access/access.service.js';
import { ClockService } from '../clock/clock.service.js';
import { actingFor } from '../db/acting.js';

/** Whatever a request writes is written for who asks, as their session has them, whatever they claim. */
@Injectable()
export class ActingInterceptor implements NestInterceptor {
  constructor(private readonly clock: ClockService) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { who, ip = '' } = context.switchToHttp().getRequest<{ who?: Asker; ip?: string }>();
    const acting = { who: who?.name ?? null, device: who?.device ?? null, atMs: this.clock.now(), from: ip };
    return new Observable((subscriber) => actingFor(acting, () => next.handle().subscribe(subscriber)));
  }
}
