import type { WeatherSourceView } from '@keen/core';
import { Button, Group } from '@mantine/core';
import { useForgetWeather, useSetWeatherOrder, useWeatherSources } from '../../api/weather-queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, sayWithUndo } from '../../parts/notices.js';
import { Failed, Loading } from '../../parts/states.js';
import { movedInOrder } from './weather-view.js';
import classes from './weather.module.css';

/** Who tells the weather, who leads, and who does not count. */
export function Sources() {
  const { data: sources, error } = useWeatherSources();
  const setOrder = useSetWeatherOrder();
  if (error) return <Failed error={error} />;
  if (!sources) return <Loading what="Fetching the sources" />;
  const order = sources.filter(({ rank }) => rank !== null).map(({ source }) => source);
  const change = (next: readonly string[], said: string): void =>
    void sayWithUndo(setOrder.mutateAsync(next), said, () => setOrder.mutateAsync(order));
  return (
    <section className={classes.box}>
      <h2>Sources</h2>
      <p className="muted">
        Each figure of an hour comes from the first source that has it. What no source has stays unknown.
      </p>
      <ol className={classes.sources}>
        {sources.map((one) => (
          <Source
            key={one.source}
            one={one}
            isLast={one.rank === order.length - 1}
            onMove={(by) => change(movedInOrder(order, one.source, by), `${one.source} was moved.`)}
            onUse={(isUsed) =>
              change(
                isUsed ? [...order, one.source] : order.filter((source) => source !== one.source),
                isUsed ? `${one.source} counts.` : `${one.source} does not count now.`,
              )
            }
          />
        ))}
      </ol>
      {order.length === 0 && (
        <p role="alert" className={classes.fault}>
          No source counts, so no hour is known and nothing can be planned.
        </p>
      )}
    </section>
  );
}

interface SourceProps {
  readonly one: WeatherSourceView;
  readonly isLast: boolean;
  readonly onMove: (by: -1 | 1) => void;
  readonly onUse: (isUsed: boolean) => void;
}

function Source({ one, isLast, onMove, onUse }: SourceProps) {
  const format = useFormat();
  const forget = useForgetWeather();
  const { source, rank, isStation, measuredHours, lastMs, issuedMs, memberCount } = one;
  const facts = [
    measuredHours > 0 && lastMs !== null
      ? `${measuredHours} hours measured, the last ${format.dayTime(lastMs)}`
      : null,
    issuedMs === null
      ? null
      : `forecast of ${format.dayTime(issuedMs)}${memberCount > 0 ? ` in ${memberCount} variants` : ', one course'}`,
  ].filter((fact) => fact !== null);
  return (
    <li>
      <div>
        <strong>
          {source} {rank === 0 ? '(leads)' : rank === null ? '(does not count)' : ''}
        </strong>
        <div className="muted">
          {facts.join('; ')}
          {isStation ? '; a simulated stand-in that ships with the program' : ''}
        </div>
      </div>
      <Group gap={4} wrap="nowrap">
        {rank !== null && (
          <>
            <Button
              size="compact-md"
              variant="default"
              disabled={rank === 0}
              aria-label={`Trust ${source} more`}
              onClick={() => onMove(-1)}
            >
              ↑
            </Button>
            <Button
              size="compact-md"
              variant="default"
              disabled={isLast}
              aria-label={`Trust ${source} less`}
              onClick={() => onMove(1)}
            >
              ↓
            </Button>
          </>
        )}
        <Button
          size="compact-md"
          variant="default"
          aria-label={rank === null ? `Count ${source}` : `Leave out ${source}`}
          onClick={() => onUse(rank === null)}
        >
          {rank === null ? 'Count' : 'Leave out'}
        </Button>
        {!isStation && rank === null && (
          <Button
            size="compact-md"
            variant="subtle"
            aria-label={`Forget ${source}`}
            onClick={() => void forget.mutateAsync(source).catch(noticeOfFailure)}
          >
            Forget
          </Button>
        )}
      </Group>
    </li>
  );
}
