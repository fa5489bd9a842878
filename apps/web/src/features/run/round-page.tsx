import { Button, Checkbox } from '@mantine/core';
import { type PackItem, roundOf, type RunPack } from '@keen/core';
import { Link, useSearchParams } from 'react-router';
import { useClock, usePlaces, useVehicles } from '../../api/queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { useRuns } from '../../api/run-queries.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { methodName, nameOf } from '../../words/names.js';
import { STEP_NAMES } from '../../words/step-names.js';
import { mixName, mixText } from '../../words/mix-words.js';
import { PACK_NAMES } from '../../words/run-words.js';
import { isOneVisit, pairAtOnePlace, roundChoices } from './round-view.js';
import { countText, shortText } from './run-view.js';
import { SideBySideOrder } from './side-by-side-order.js';
import lists from './prepare.module.css';
import classes from './run.module.css';

/** One preparation for the washes of a round: mixed once, packed once. */
export function RoundPage() {
  const format = useFormat();
  const [params, setParams] = useSearchParams();
  const { data: washes } = useWashes();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: clock } = useClock();
  const isReady = washes && vehicles && places && clock;
  const choices = isReady ? roundChoices(washes, clock.nowMs, format) : [];
  const asked = params.get('of');
  const chosen = asked === null ? (choices[0]?.washes.map(({ id }) => id) ?? []) : asked.split(',');
  const answers = useRuns(chosen.filter((id) => id !== ''));
  const failed = answers.find(({ error }) => error !== null);
  const packs = answers.flatMap(({ data }) => (data ? [data.pack] : []));
  const pair = pairAtOnePlace(packs);
  const nameOfPack = ({ washId }: RunPack): string =>
    nameOf(vehicles, washes?.find(({ id }) => id === washId)?.vehicleId ?? '');
  const round = roundOf(packs.map(({ sheet }) => sheet.preparation));
  const toggle = (id: string): void => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    setParams({ of: next.filter((one) => one !== '').join(',') }, { replace: true });
  };
  const { media, clean } = round;
  const counted: Readonly<Partial<Record<PackItem, string>>> = {
    mitts: `${countText(media.mitts, 'mitt')}${shortText(media.mitts, clean.mitts)}`,
    'folded-towels': `${countText(media.foldedTowels, 'folded towel')}${shortText(media.foldedTowels, clean.foldedTowels)}`,
    'drying-towels': `${countText(media.dryingTowels, 'drying towel')}${shortText(media.dryingTowels, clean.dryingTowels)}`,
  };
  return (
    <Page
      title="Prepare a round"
      lead="Several washes in one go: mixed once, packed once."
      actions={
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      }
    >
      {!isReady && <Loading what="Fetching the plan" />}
      {isReady && choices.length === 0 && (
        <Empty title="Nothing is planned">
          <span>
            Plan washes first; <Link to="/plan">to the plan</Link>.
          </span>
        </Empty>
      )}
      {failed?.error && <Failed error={failed.error} onRetry={() => void failed.refetch()} />}
      {isReady && choices.length > 0 && (
        <div className={classes.grid}>
          <section className={classes.box}>
            <h2>Which washes</h2>
            {choices.map(({ day, washes: ofDay }) => (
              <div key={day}>
                <h3>{day}</h3>
                {ofDay.map((wash) => (
                  <Checkbox
                    key={wash.id}
                    my={6}
                    checked={chosen.includes(wash.id)}
                    onChange={() => toggle(wash.id)}
                    label={`${format.time(wash.startMs)} ${nameOf(vehicles, wash.vehicleId)}, ${nameOf(places, wash.placeId)}, ${methodName(wash.methodId)}`}
                  />
                ))}
              </div>
            ))}
          </section>
          {packs.length > 0 && (
            <section className={classes.box}>
              <h2>For {packs.length === 1 ? 'one wash' : `${packs.length} washes`}</h2>
              <dl className={lists.pairs}>
                <dt>Water in buckets</dt>
                <dd>
                  {round.bucketLitres > 0
                    ? `${format.litres(round.bucketLitres)}, each warm on arrival as its own sheet says`
                    : 'none'}
                </dd>
                <dt>To pay</dt>
                <dd className="figure">{format.money(round.moneyMinor)}</dd>
                <dt>Cold</dt>
                <dd>
                  {round.windChillC === null
                    ? 'mild'
                    : `feels like ${format.temp(round.windChillC)} at the coldest, ${format.minutes(round.handsMinutes)} with wet hands altogether`}
                </dd>
              </dl>
              <h3>Mix, in this order</h3>
              <ol className={lists.mixes}>
                {round.mixes.map(({ mix, count, productMl, waterMl, caps }) => (
                  <li key={`${mix.step} ${mix.product?.id ?? ''} ${mix.parts}`}>
                    <strong>{mixName(mix)}</strong> for “{STEP_NAMES[mix.step]}
                    ”, {count === 1 ? 'one car' : `${count} cars`}:{' '}
                    {mixText({ ...mix, productMl, waterMl, caps }, format)}
                  </li>
                ))}
              </ol>
              <h3>Pack</h3>
              <ul className={lists.pack}>
                {round.pack.map((item) => (
                  <li key={item}>{counted[item] ?? PACK_NAMES[item]}</li>
                ))}
              </ul>
              <p className="muted">Amounts are judgement; labels go before them.</p>
            </section>
          )}
          {pair && (
            <SideBySideOrder pair={pair} names={pair.map(nameOfPack)} isPlanned={isOneVisit(pair, washes)} />
          )}
        </div>
      )}
    </Page>
  );
}
