import { useFormat } from '../../format/use-format.js';
import { numbers, type Worked } from './worked.js';
import classes from './meter-strip.module.css';

/** The visit as the meter sees it: water while one works, and gaps in which it runs on or is stopped. */
export function MeterStrip({ worked: { input, output } }: { readonly worked: Worked }) {
  const format = useFormat();
  const steps = numbers(input['stepSeconds']);
  const gaps = numbers(input['gapSeconds']);
  const stops = new Set(numbers(output['stopAfter']));
  const all = [...steps, ...gaps].reduce((sum, one) => sum + one, 0);
  if (all === 0) return null;
  const parts = steps.flatMap((length, i) => {
    const gap = gaps[i];
    const water = {
      key: `step ${i}`,
      length,
      kind: 'water',
      text: `Step ${i + 1}: ${format.minutes(length / 60)}`,
    };
    if (gap === undefined) return [water];
    const isStopped = stops.has(i);
    const text = `${isStopped ? 'stopped' : 'runs on'}: ${format.minutes(gap / 60)}`;
    return [water, { key: `gap ${i}`, length: gap, kind: isStopped ? 'stopped' : 'runs', text }];
  });
  return (
    <ol className={classes.strip} aria-label="The meter, step by step">
      {parts.map(({ key, length, kind, text }) => (
        <li key={key} data-kind={kind} style={{ flexGrow: length / all }} title={text}>
          <span>{text}</span>
        </li>
      ))}
    </ol>
  );
}
