import { Button, Table } from '@mantine/core';
import type { Gear, Product } from '@keen/core';
import { useState } from 'react';
import { useKit, useRemoveFrom, useRestoreTo, useSaveGear, useSaveProduct } from '../../api/kit-queries.js';
import { useFormat } from '../../format/use-format.js';
import { KitWarningsBox } from '../../parts/kit-warnings.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { dwellRangeText, gearText, strengthText } from '../../words/kit-words.js';
import { GEAR_NAMES, KEPT_IN_NAMES, ROLE_NAMES } from '../../words/names.js';
import { gearHas } from './gear-form.js';
import { GearDrawer } from './gear-drawer.js';
import { ProductDrawer } from './product-drawer.js';
import classes from './kit.module.css';

/** Bottles, cloths and machines: what there is, what is left, what is to be seen to. */
export function KitPage() {
  const { data: kit, error, refetch } = useKit();
  const [product, setProduct] = useState<Product | 'new' | null>(null);
  const [gear, setGear] = useState<Gear | 'new' | null>(null);
  return (
    <Page
      title="Kit"
      lead="Bottles as their labels have them, cloths, sprayers, filters. Run sheets mix from it, and washes use it up."
      actions={
        <>
          <Button variant="default" onClick={() => setGear('new')}>
            Add gear
          </Button>
          <Button color="lamp.3" onClick={() => setProduct('new')}>
            Add a product
          </Button>
        </>
      }
    >
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !kit && <Loading what="Fetching the kit" />}
      {kit && (
        <>
          <KitWarningsBox />
          <Products products={kit.products} onEdit={setProduct} />
          <GearTable gear={kit.gear} onEdit={setGear} />
        </>
      )}
      {product && (
        <ProductDrawer product={product === 'new' ? null : product} onClose={() => setProduct(null)} />
      )}
      {gear && <GearDrawer gear={gear === 'new' ? null : gear} onClose={() => setGear(null)} />}
    </Page>
  );
}

function Products({
  products,
  onEdit,
}: {
  readonly products: readonly Product[];
  readonly onEdit: (product: Product) => void;
}) {
  const format = useFormat();
  const save = useSaveProduct();
  const remove = useRemoveFrom('products');
  const restore = useRestoreTo('products');
  if (products.length === 0)
    return (
      <Empty title="No products yet">
        Add what is on the shelf, and run sheets say what to mix, in caps of that bottle.
      </Empty>
    );
  const open = ({ id, name, leftMl, bottleMl }: Product): void =>
    save.mutate(
      { id, leftMl: leftMl + bottleMl },
      {
        onSuccess: () => noticeWithUndo(`A new bottle of ${name}.`, () => save.mutate({ id, leftMl })),
        onError: noticeOfFailure,
      },
    );
  const takeAway = ({ id, name }: Product): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} taken off the shelf.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <section className={classes.box}>
      <h2>Products</h2>
      <Table.ScrollContainer minWidth={900} type="native">
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Product</Table.Th>
              <Table.Th>Strength</Table.Th>
              <Table.Th>pH in use</Table.Th>
              <Table.Th>Dwell</Table.Th>
              <Table.Th>Works from</Table.Th>
              <Table.Th>Overnight</Table.Th>
              <Table.Th>Left</Table.Th>
              <Table.Th>
                <span className={classes.unseen}>Actions</span>
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {products.map((product) => (
              <Table.Tr key={product.id}>
                <Table.Td>
                  <strong>{product.name}</strong>
                  <div className="muted">{ROLE_NAMES[product.role]}</div>
                </Table.Td>
                <Table.Td>{strengthText(product)}</Table.Td>
                <Table.Td className="figure">{product.inUsePh}</Table.Td>
                <Table.Td>{dwellRangeText(product, format)}</Table.Td>
                <Table.Td>{product.lowestWorkC === null ? 'any' : format.temp(product.lowestWorkC)}</Table.Td>
                <Table.Td>
                  {KEPT_IN_NAMES[product.keptIn]}
                  <div className="muted">
                    {product.lowestStoreC === null
                      ? 'may freeze'
                      : `above ${format.temp(product.lowestStoreC)}`}
                  </div>
                </Table.Td>
                <Table.Td>
                  <span className="figure">{format.ml(product.leftMl)}</span>
                  {product.leftMl <= product.lowMl && <div className={classes.low}>low: buy it</div>}
                </Table.Td>
                <Table.Td>
                  <div className={classes.acts}>
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => open(product)}
                      aria-label={`New bottle of ${product.name}`}
                    >
                      New bottle
                    </Button>
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => onEdit(product)}
                      aria-label={`Edit ${product.name}`}
                    >
                      Edit
                    </Button>
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => takeAway(product)}
                      aria-label={`Take ${product.name} away`}
                    >
                      Take away
                    </Button>
                  </div>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
      <p className="muted">
        From the labels, as typed here; what is left is counted down by the washes that are done (estimated).
      </p>
    </section>
  );
}

function GearTable({
  gear,
  onEdit,
}: {
  readonly gear: readonly Gear[];
  readonly onEdit: (gear: Gear) => void;
}) {
  const format = useFormat();
  const save = useSaveGear();
  const remove = useRemoveFrom('gear');
  const restore = useRestoreTo('gear');
  if (gear.length === 0)
    return (
      <Empty title="No gear yet">Add towels, mitts, the foamer and the lance with its measured draw.</Empty>
    );
  const renew = (piece: Gear, change: Partial<Gear>, message: string): void =>
    save.mutate(
      { id: piece.id, ...change },
      {
        onSuccess: () =>
          noticeWithUndo(message, () =>
            save.mutate({ id: piece.id, cleanCount: piece.cleanCount, litresUsed: piece.litresUsed }),
          ),
        onError: noticeOfFailure,
      },
    );
  const takeAway = ({ id, name }: Gear): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} taken away.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <section className={classes.box}>
      <h2>Gear</h2>
      <ul className={classes.gear}>
        {gear.map((piece) => {
          const { laundry, life } = gearHas(piece.kind);
          return (
            <li key={piece.id}>
              <div>
                <strong>{piece.name}</strong> <span className="muted">{GEAR_NAMES[piece.kind]}</span>
                <div>{gearText(piece, format)}</div>
                {piece.notes && <div className="muted">{piece.notes}</div>}
              </div>
              <div className={classes.acts}>
                {laundry && piece.cleanCount < piece.count && (
                  <Button
                    size="compact-sm"
                    variant="default"
                    onClick={() => renew(piece, { cleanCount: piece.count }, `${piece.name} laundered.`)}
                    aria-label={`${piece.name} are laundered`}
                  >
                    Laundered
                  </Button>
                )}
                {life && (
                  <Button
                    size="compact-sm"
                    variant="default"
                    onClick={() => renew(piece, { litresUsed: 0 }, `${piece.name} renewed.`)}
                    aria-label={`${piece.name} is renewed`}
                  >
                    Renewed
                  </Button>
                )}
                <Button
                  size="compact-sm"
                  variant="default"
                  onClick={() => onEdit(piece)}
                  aria-label={`Edit ${piece.name}`}
                >
                  Edit
                </Button>
                <Button
                  size="compact-sm"
                  variant="default"
                  onClick={() => takeAway(piece)}
                  aria-label={`Take ${piece.name} away`}
                >
                  Take away
                </Button>
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
