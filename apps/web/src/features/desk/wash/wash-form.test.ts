import { calculate, CALCULATORS, DEFAULT_DISPLAY, washPoints, type WashSumAnswer } from '@keen/core';
import { describe, expect, it } from '@jest/globals';
import { nextEvent, shownExample, washInput } from './wash-form.js';

const calculator = CALCULATORS.get('wash');
const inUnits = (display = DEFAULT_DISPLAY) => {
  const { panel, events } = shownExample(display);
  const input = washInput(panel, events, display);
  const answer = calculator && calculate(calculator, input);
  if (!answer?.ok) throw new Error('the example is refused');
  return { input, answer: answer.value as WashSumAnswer };
};

describe('the wash on the desk', () => {
  it('is the same wash in any units', () => {
    const metric = inUnits().answer;
    const american = inUnits({ ...DEFAULT_DISPLAY, temperature: 'F', wind: 'mph' }).answer;
    expect(metric.spans).toHaveLength(4);
    metric.spans.forEach(({ startTempC, endWaterGramsPerM2 }, i) => {
      expect(american.spans[i]?.startTempC).toBeCloseTo(startTempC, 2);
      expect(american.spans[i]?.endWaterGramsPerM2).toBeCloseTo(endWaterGramsPerM2, 2);
    });
  });

  it('names the field that is not a number', () => {
    const { panel, events } = shownExample(DEFAULT_DISPLAY);
    const broken = washInput(panel, [{ ...events[0]!, waterC: '' }], DEFAULT_DISPLAY);
    const answer = calculator && calculate(calculator, broken);
    expect(answer).toMatchObject({ ok: false, error: { field: 'events.0.waterTempC' } });
  });

  it('takes a comma for a point, and goes on two minutes later', () => {
    const { panel, events } = shownExample(DEFAULT_DISPLAY);
    expect(
      washInput({ ...panel, humidity: '0,5' }, events, DEFAULT_DISPLAY).climate[0]?.relHumidityFraction,
    ).toBe(0.5);
    expect(nextEvent(events).at).toBe('12');
    expect(nextEvent([]).at).toBe('0');
  });

  it('is drawn through both sides of each event', () => {
    const { input, answer } = inUnits();
    const points = washPoints(input);
    expect(points[0]?.tempC).toBeCloseTo(answer.startPanelC, 6);
    const wiped = points.filter(({ minute }) => minute === 10).map(({ waterGramsPerM2 }) => waterGramsPerM2);
    expect(wiped).toHaveLength(2);
    expect(wiped[0]).toBeGreaterThan(wiped[1] ?? Infinity);
    expect(points.at(-1)?.minute).toBe(30);
    expect(points.at(-1)?.tempC).toBeCloseTo(answer.spans.at(-1)?.endTempC ?? NaN, 1);
  });
});
