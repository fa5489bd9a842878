import { Button, Menu } from '@mantine/core';
import type { Product } from '@keen/core';
import { useRemoveFrom, useRestoreTo, useSaveProduct } from '../../api/kit-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import { Empty } from '../../parts/states.js';
import { KEPT_IN_NAMES, ROLE_NAMES } from '../../words/kit-names.js';
import { dwellRangeText, strengthText } from '../../words/kit-words.js';
import { Bottle } from './bottle.js';
import { MoreMenu } from '../../parts/more-menu.js';
import classes from './shelf.module.css';

interface ShelfProps {
  readonly products: readonly Product[];
  readonly onEdit: (product: Product) => void;
}

/** "works from 5.0 °C, kept in the van above 1.0 °C". */
const coldText = ({ lowestWorkC, lowestStoreC, keptIn }: Product, format: Format): string =>
  [
    lowestWorkC === null ? 'works in any cold' : `works from ${format.temp(lowestWorkC)}`,
    `kept ${KEPT_IN_NAMES[keptIn]}${lowestStoreC === null ? ', may freeze' : ` above ${format.temp(lowestStoreC)}`}`,
  ].join('; ');

/** What is left, against what a bottle holds. */
function leftText({ leftMl, bottleMl, lowMl }: Product, format: Format): string {
  const left = `${format.ml(leftMl)} left`;
  if (leftMl <= lowMl) return `${left}, low: buy it`;
  return leftMl > bottleMl
    ? `${left}, in bottles of ${format.ml(bottleMl)}`
    : `${left} of ${format.ml(bottleMl)}`;
}

/** Bottles as they stand on the shelf, each with its level, by their labels. */
export function Shelf({ products, onEdit }: ShelfProps) {
  if (products.length === 0)
    return (
      <Empty title="No products yet">
        Add what is on the shelf, and run sheets say what to mix, in caps of that bottle.
      </Empty>
    );
  return (
    <section aria-label="Products">
      <h2 className={classes.title}>Products</h2>
      <ul className={classes.shelf}>
        {products.map((product) => (
          <Standing key={product.id} product={product} onEdit={() => onEdit(product)} />
        ))}
      </ul>
    </section>
  );
}

function Standing({ product, onEdit }: { readonly product: Product; readonly onEdit: () => void }) {
  const format = useFormat();
  const save = useSaveProduct();
  const remove = useRemoveFrom('products');
  const restore = useRestoreTo('products');
  const { id, name, leftMl, bottleMl, lowMl, inUsePh, role } = product;
  const open = (): void =>
    void sayWithUndo(save.mutateAsync({ id, leftMl: leftMl + bottleMl }), `A new bottle of ${name}.`, () =>
      save.mutateAsync({ id, leftMl }),
    );
  const takeAway = (): void =>
    void sayWithUndo(remove.mutateAsync(id), `${name} taken off the shelf.`, () => restore.mutateAsync(id));
  return (
    <li className={classes.standing}>
      <Bottle leftMl={leftMl} bottleMl={bottleMl} lowMl={lowMl} />
      <div className={classes.label}>
        <h3>{name}</h3>
        <p className="muted">
          {ROLE_NAMES[role]}, pH {inUsePh}
        </p>
        <p data-low={leftMl <= lowMl || undefined}>{leftText(product, format)}</p>
        <p className="muted">
          {strengthText(product)}; dwell {dwellRangeText(product, format)}; {coldText(product, format)}
        </p>
        <OwnerOnly>
          <div className={`${classes.acts} no-print`}>
            <Button variant="default" onClick={open} aria-label={`New bottle of ${name}`}>
              New bottle
            </Button>
            <MoreMenu about={name}>
              <Menu.Item onClick={onEdit}>Edit</Menu.Item>
              <Menu.Divider />
              <Menu.Item onClick={takeAway}>Delete</Menu.Item>
            </MoreMenu>
          </div>
        </OwnerOnly>
      </div>
    </li>
  );
}
