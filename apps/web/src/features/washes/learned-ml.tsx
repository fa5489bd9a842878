import { type LearnedMl, learnedMl, type Product, type WashRecord } from '@keen/core';
import { Button } from '@mantine/core';
import { useKit, useSaveProduct } from '../../api/kit-queries.js';
import { useSettings, useVehicles } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './washes.module.css';

/** One bottle that empties faster or slower than is counted, and the offer to count it so. */
function Offer({ learned, product }: { readonly learned: LearnedMl; readonly product: Product }) {
  const format = useFormat();
  const save = useSaveProduct();
  const { ml, countedMl, cars } = learned;
  const { id, name, carMl } = product;
  const use = (): void =>
    void sayWithUndo(
      save.mutateAsync({ id, carMl: ml }),
      `${name}: ${format.ml(ml)} a saloon from now on`,
      () => save.mutateAsync({ id, carMl }),
    );
  return (
    <li>
      <div>
        <strong>{name}</strong>: a saloon takes you <strong className="figure">{format.ml(ml)}</strong>, the
        program counts <span className="figure">{format.ml(countedMl)}</span>{' '}
        <span className="muted">({cars} washes between readings of the bottle)</span>
      </div>
      <OwnerOnly>
        <Button
          size="compact-sm"
          variant="default"
          aria-label={`Count ${format.ml(ml)} of ${name}`}
          onClick={use}
          loading={save.isPending}
        >
          Use {format.ml(ml)}
        </Button>
      </OwnerOnly>
    </li>
  );
}

/** What the levels that were read off the bottles say of the product that the shop counts; nothing where they agree. */
export function LearnedProduct({ washes }: { readonly washes: readonly WashRecord[] }) {
  const { data: kit } = useKit();
  const { data: vehicles } = useVehicles();
  const { data: settings } = useSettings();
  if (!kit || !vehicles || !settings) return null;
  const found = learnedMl({ products: kit.products, washes, vehicles, house: settings.house });
  if (found.length === 0) return null;
  return (
    <section className={`${classes.learned} no-print`} aria-label="Product use by your bottles">
      <h2>Your own product</h2>
      <p className="muted">
        Worked out from the levels you typed and the washes between them. Once you use a figure, mixes, prices
        and stock follow it.
      </p>
      <ul>
        {found.map((learned) => {
          const product = kit.products.find(({ id }) => id === learned.productId);
          return product && <Offer key={product.id} learned={learned} product={product} />;
        })}
      </ul>
    </section>
  );
}
