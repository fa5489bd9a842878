import { Button, Table } from '@mantine/core';
import type { Product } from '@keen/core';
import { useRemoveFrom, useRestoreTo, useSaveProduct } from '../../api/kit-queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Empty } from '../../parts/states.js';
import { dwellRangeText, strengthText } from '../../words/kit-words.js';
import { KEPT_IN_NAMES, ROLE_NAMES } from '../../words/kit-names.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './kit.module.css';

/** Bottles by their labels, and what is left of them. */
export function ProductsTable({
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
  const deleteOne = ({ id, name }: Product): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} taken off the shelf.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <section className={classes.box}>
      <h2>Products</h2>
      <Table.ScrollContainer minWidth={900} type="native" pos="relative">
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
                  <OwnerOnly>
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
                        onClick={() => deleteOne(product)}
                        aria-label={`Take ${product.name} away`}
                      >
                        Delete
                      </Button>
                    </div>
                  </OwnerOnly>
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
