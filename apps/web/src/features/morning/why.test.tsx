import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type PlanWorth, type VehicleAnswer, type Window } from '@keen/core';
import { screen } from '@testing-library/react';
import { makeFormat } from '../../format/format.js';
import { show } from '../../testing/show.js';
import { Why } from './why.js';

const best = {
  placeId: 'bay',
  activeHoursSaved: 10.1,
  value: {
    saltMinor: 122,
    moneyMinor: -215,
    timeMinor: -1798,
    coldMinor: 0,
    paintMinor: 0,
    troubleMinor: -120,
    lateMinor: -964,
    seasonMinor: 0,
    totalMinor: -2975,
  },
} as unknown as Window;

const WORTH: PlanWorth = {
  lateAvoidedMinor: 750,
  dueAnywayMinor: 1900,
  promiseMinor: 0,
  otherKindMinor: 0,
  failingMinor: 40,
  totalMinor: 122 + 750 + 1900 - 215 - 1798 - 120 - 40,
};

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');

const tell = (worth: PlanWorth): void => {
  const answer = { vehicleId: 'a', best, worth, alternatives: [], refusals: [], fallback: null };
  show(<Why answer={answer as unknown as VehicleAnswer} best={best} places={[]} format={format} />);
};

/** Each line with its sum, cents with their sign. */
function lines(): [string, number][] {
  const terms = screen.getAllByRole('term');
  return screen.getAllByRole('definition').map((sum, i) => {
    const label = terms[i]?.textContent ?? '';
    const cents = Math.round(Number(sum.textContent?.replace(/[^\d.]/gu, '')) * 100);
    return [label, label.startsWith('Takes') ? -cents : cents];
  });
}

describe('why a start was chosen', () => {
  it('says what it gives and takes in lines that add up to the total, which is the plan’s', () => {
    tell(WORTH);
    const sum = lines().reduce((total, [, cents]) => total + cents, 0);
    expect(sum).toBe(WORTH.totalMinor);
    expect(screen.getByText('It gives $5.99 more than it takes.')).toBeTruthy();
  });

  it('leaves out what comes to nothing, and the lateness that no start can spare any more', () => {
    tell(WORTH);
    expect(lines().map(([label]) => label)).toEqual([
      'Gives: salt damage avoided',
      'Gives: lateness spared, up to the end of the forecast',
      'Gives: a wash at its cheapest, due some day anyway',
      'Takes: place and product',
      'Takes: your time, travel included',
      'Takes: trouble of the "if"',
      'Takes: the forecasts in which it fails',
    ]);
  });
});
