import { Button } from '@mantine/core';
import type { Gear, Product } from '@keen/core';
import { useState } from 'react';
import { useKit, useKitWarnings } from '../../api/kit-queries.js';
import { KitWarningsBox } from '../../parts/kit-warnings.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { GearDrawer } from './gear-drawer.js';
import { GearList } from './gear-list.js';
import { ProductDrawer } from './product-drawer.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import { Shelf } from './shelf.js';

/** Bottles, cloths and machines: what there is, what is left, what is to be seen to. */
export function KitPage() {
  const { data: kit, error, refetch } = useKit();
  // Shown together: the warnings stand above the shelf, and would push it down.
  const { isPending: isLooking } = useKitWarnings();
  const [product, setProduct] = useState<Product | 'new' | null>(null);
  const [gear, setGear] = useState<Gear | 'new' | null>(null);
  return (
    <Page
      title="Kit"
      lead="Bottles as their labels have them, cloths, sprayers, filters. Run sheets mix from it, and washes use it up."
      actions={
        <OwnerOnly>
          <Button variant="default" onClick={() => setGear('new')}>
            Add gear
          </Button>
          <Button color="lamp.3" onClick={() => setProduct('new')}>
            Add a product
          </Button>
        </OwnerOnly>
      }
    >
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && (!kit || isLooking) && <Loading what="Fetching the kit" />}
      {kit && !isLooking && (
        <>
          <KitWarningsBox />
          <Shelf products={kit.products} onEdit={setProduct} />
          <GearList gear={kit.gear} onEdit={setGear} />
        </>
      )}
      {product && (
        <ProductDrawer product={product === 'new' ? null : product} onClose={() => setProduct(null)} />
      )}
      {gear && <GearDrawer gear={gear === 'new' ? null : gear} onClose={() => setGear(null)} />}
    </Page>
  );
}
