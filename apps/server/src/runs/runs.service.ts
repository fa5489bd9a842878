import { Injectable } from '@nestjs/common';
import { type RunSheet, startOfHourMs, type WashRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField } from '../errors/api-error.js';
import { VerdictsService } from '../verdicts/verdicts.service.js';
import { WashesService } from '../washes/washes.service.js';

export interface RunAnswer {
  readonly wash: WashRecord;
  readonly sheet: RunSheet;
  /** The hour whose weather it is made for: that of the wash, or the present one where it should have begun. */
  readonly forMs: number;
  readonly source: string;
  readonly issuedMs: number;
}

@Injectable()
export class RunsService {
  constructor(
    private readonly washes: WashesService,
    private readonly verdicts: VerdictsService,
    private readonly clock: ClockService,
  ) {}

  /** @throws 404 without such a wash, 400 where nobody knows that hour's weather */
  async sheet(washId: string): Promise<RunAnswer> {
    const wash = await this.washes.read(washId);
    const forMs = Math.max(wash.startMs, startOfHourMs(this.clock.now()));
    const { vehicleId, placeId, methodId } = wash;
    const answer = await this.verdicts.runSheet({ vehicleId, placeId, methodId, startMs: forMs });
    if (!answer)
      throw badField('washId', 'Nobody knows the weather of that hour, so there is no sheet for it yet.');
    return { wash, forMs, ...answer };
  }
}
