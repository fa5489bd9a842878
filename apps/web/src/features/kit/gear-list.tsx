import { Button } from '@mantine/core';
import { demoted, type Gear, isWorn, laundered } from '@keen/core';
import { useRemoveFrom, useRestoreTo, useSaveGear } from '../../api/kit-queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { Empty } from '../../parts/states.js';
import { gearText } from '../../words/kit-words.js';
import { DUTY_NAMES, GEAR_NAMES } from '../../words/kit-names.js';
import { gearHas } from './gear-form.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './kit.module.css';

/** What a change of a piece is undone with. */
const before = (piece: Gear, change: Partial<Gear>): Partial<Gear> =>
  Object.fromEntries((Object.keys(change) as (keyof Gear)[]).map((field) => [field, piece[field]]));

/** Cloths, sprayers, machines and filters, and what of them is ready. */
export function GearList({
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
    void sayWithUndo(save.mutateAsync({ id: piece.id, ...change }), message, () =>
      save.mutateAsync({ id: piece.id, ...before(piece, change) }),
    );
  const deleteOne = ({ id, name }: Gear): void =>
    void sayWithUndo(remove.mutateAsync(id), `${name} deleted.`, () => restore.mutateAsync(id));
  return (
    <section className={classes.box}>
      <h2>Gear</h2>
      <ul className={classes.gear}>
        {gear.map((piece) => {
          const { laundry, life } = gearHas(piece.kind);
          const lower = demoted(piece);
          return (
            <li key={piece.id}>
              <div>
                <strong>{piece.name}</strong> <span className="muted">{GEAR_NAMES[piece.kind]}</span>
                <div>{gearText(piece, format)}</div>
                {piece.notes && <div className="muted">{piece.notes}</div>}
              </div>
              <OwnerOnly>
                <div className={classes.acts}>
                  {laundry && piece.cleanCount < piece.count && (
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => renew(piece, laundered(piece), `${piece.name} laundered.`)}
                      aria-label={`${piece.name} are laundered`}
                    >
                      Laundered
                    </Button>
                  )}
                  {laundry && isWorn(piece) && lower !== null && (
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() =>
                        renew(
                          piece,
                          { duty: lower },
                          `${piece.name} are for ${DUTY_NAMES[lower]} from now on.`,
                        )
                      }
                      aria-label={`Use ${piece.name} on ${DUTY_NAMES[lower]} only`}
                    >
                      On {DUTY_NAMES[lower]} only
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
                    onClick={() => deleteOne(piece)}
                    aria-label={`Take ${piece.name} away`}
                  >
                    Delete
                  </Button>
                </div>
              </OwnerOnly>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
