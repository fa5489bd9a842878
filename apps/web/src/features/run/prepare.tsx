import {
  FACES_OF_A_TOWEL,
  type PackItem,
  type RunSheet,
  type PlaceRecord,
  type WashRecord,
} from '@keen/core';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { SITE_RULE_NAMES } from '../../words/names.js';
import { STEP_NAMES } from '../../words/step-names.js';
import { mixName, mixText, PRODUCT_REASONS } from '../../words/mix-words.js';
import { facesText, PACK_NAMES } from '../../words/run-words.js';
import { ProductChoice } from './product-choice.js';
import { countText, shortText } from './run-view.js';
import lists from './prepare.module.css';
import classes from './run.module.css';

const SKIN: Readonly<Record<string, string>> = {
  none: '',
  '10-30-min': 'bare skin freezes in 10 to 30 min',
  '5-10-min': 'bare skin freezes in 5 to 10 min',
  '2-5-min': 'bare skin freezes in 2 to 5 min',
  'under-2-min': 'bare skin freezes in under 2 min',
};

/** "; in 2 of your buckets", or that they do not hold it. */
function bucketsText(
  litres: number,
  { count, volumeMl }: { readonly count: number; readonly volumeMl: number },
  format: Format,
): string {
  const wanted = Math.ceil((litres * 1000) / volumeMl - 1e-6);
  if (wanted <= count) return `; in ${wanted} of your ${countText(count, 'bucket')}`;
  return `; your ${countText(count, 'bucket')} hold ${format.litres((count * volumeMl) / 1000)}, so one is filled again`;
}

/** What to mix, pack and put on before leaving. */
export function Prepare({
  wash,
  isBegun,
  sheet,
  place,
}: {
  readonly wash: WashRecord;
  readonly isBegun: boolean;
  readonly sheet: RunSheet;
  readonly place: PlaceRecord | undefined;
}) {
  const format = useFormat();
  const { water, pack, money, savedMinor, cold, forbids, faces, media, clean, mixes, litresInAll } =
    sheet.preparation;
  const counted: Readonly<Partial<Record<PackItem, string>>> = {
    mitts: countText(media.mitts, 'mitt') + shortText(media.mitts, clean.mitts),
    'folded-towels': `${countText(media.foldedTowels, 'folded towel')} (${media.foldedTowels * FACES_OF_A_TOWEL} faces)${shortText(media.foldedTowels, clean.foldedTowels)}`,
    'drying-towels':
      countText(media.dryingTowels, 'drying towel') + shortText(media.dryingTowels, clean.dryingTowels),
  };
  const toPay = money.visitMinor + money.meterMinor;
  const { windChill, handsMinutes } = cold;
  return (
    <section className={classes.box}>
      <h2>Before you leave</h2>
      <dl className={lists.pairs}>
        <dt>Water in the buckets</dt>
        <dd>
          {water === null ? (
            'none'
          ) : water.isFilledThere ? (
            `${format.litres(water.litres)} from the gun there, about ${format.temp(water.wantedC)}${water.isHotForHands ? ' (too hot for hands: let it cool, and never on frozen glass)' : ''}`
          ) : (
            <>
              {format.litres(water.litres)} at {format.temp(water.startC)}, {format.temp(water.wantedC)} on
              arrival
              {water.mix
                ? `: ${format.litres(water.mix.hotLitres)} hot and ${format.litres(water.mix.coldLitres)} cold`
                : '; a tap does not give it so hot, so mix it there or take the hot in a flask'}
              {water.isHotForHands && ' (too hot for hands when it leaves; never on frozen glass)'}
            </>
          )}
          {water?.buckets && bucketsText(water.litres, water.buckets, format)}
        </dd>
        <dt>Water, total</dt>
        <dd>{format.litres(litresInAll)}</dd>
        <dt>To pay there</dt>
        <dd>
          <span className="figure">{format.money(toPay)}</span>
          {money.meterMinor > 0 &&
            (money.visitMinor > 0
              ? `, ${format.money(money.meterMinor)} of it on the meter`
              : ' on the meter')}
          {savedMinor > 0 && `; stopping it where the steps say saves ${format.money(savedMinor)}`}
        </dd>
        <dt>Cold</dt>
        <dd>
          {windChill.windChillC === null
            ? 'mild'
            : `feels like ${format.temp(windChill.windChillC)}, ${format.minutes(handsMinutes)} of it with wet hands`}
          {windChill.frostbiteClass !== 'none' &&
            `; ${SKIN[windChill.frostbiteClass] ?? ''}, wet hands sooner`}
        </dd>
        {faces.length > 0 && (
          <>
            <dt>Towel sides</dt>
            <dd>
              {facesText(faces)}, as dirty as it is when they get there{' '}
              <span className="muted">(estimated)</span>
            </dd>
          </>
        )}
        {forbids.length > 0 && (
          <>
            <dt>{place?.name ?? 'The place'} forbids</dt>
            <dd>{new Intl.ListFormat('en').format(forbids.map((rule) => SITE_RULE_NAMES[rule]))}</dd>
          </>
        )}
      </dl>
      {mixes.length > 0 && (
        <>
          <h3>Mix, in this order</h3>
          <ol className={lists.mixes}>
            {mixes.map((mix) => (
              <li key={mix.step}>
                For “{STEP_NAMES[mix.step]}”: <strong>{mixName(mix)}</strong>, {mixText(mix, format)}
                {mix.because && (
                  <span className={`muted ${classes.because}`}> ({PRODUCT_REASONS[mix.because]})</span>
                )}
                <ProductChoice step={mix.step} wash={wash} isBegun={isBegun} />
              </li>
            ))}
          </ol>
        </>
      )}
      <h3>Pack</h3>
      <ul className={lists.pack}>
        {pack.map((item) => (
          <li key={item}>{counted[item] ?? PACK_NAMES[item]}</li>
        ))}
      </ul>
    </section>
  );
}
