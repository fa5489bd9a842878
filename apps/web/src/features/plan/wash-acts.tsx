import { Button } from '@mantine/core';
import { IconLock, IconLockOpen, IconPlayerPlay, IconTrash } from '@tabler/icons-react';
import { methodName, nameOf } from '../../words/names.js';
import shared from './plan.module.css';
import type { WashPanelProps } from './wash-panel-props.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './wash-panel.module.css';

/** Where else it could stand, and what that costs the plan. */
export function Alternatives({ block, places, format, onMove }: WashPanelProps) {
  if (block.alternatives.length === 0) return null;
  return (
    <>
      <h4>Next best</h4>
      <ul className={shared.options}>
        {block.alternatives.map((option) => (
          <li key={`${option.window.placeId} ${option.window.methodId} ${option.window.startMs}`}>
            <span>
              <strong>{format.dayTime(option.window.startMs)}</strong>,{' '}
              {nameOf(places, option.window.placeId)}, {methodName(option.window.methodId)}
              <br />
              <span className="muted">
                costs the plan <span className="figure">{format.money(option.costMinor)}</span>
                {option.pushesOut.length > 0 && ', and another car gives way'}
              </span>
            </span>
            {option.pushesOut.length === 0 && (
              <OwnerOnly>
                <Button size="compact-sm" variant="default" onClick={() => onMove(option)}>
                  {block.washId === null ? 'Plan' : 'Move'}
                </Button>
              </OwnerOnly>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What can be done with it where it stands. */
export function Acts(props: WashPanelProps) {
  return (
    <OwnerOnly>
      <ActsOf {...props} />
    </OwnerOnly>
  );
}

function ActsOf({ block, onLock, onStart, onRemove, onAccept }: WashPanelProps) {
  if (!block.wash)
    return (
      <div className={`${classes.acts} no-print`}>
        <Button color="lamp.3" disabled={onAccept === null} onClick={() => onAccept?.(block)}>
          Accept this one
        </Button>
      </div>
    );
  const { isLocked, startedMs } = block.wash;
  return (
    <div className={`${classes.acts} no-print`}>
      <Button
        variant="default"
        leftSection={isLocked ? <IconLockOpen size={16} /> : <IconLock size={16} />}
        onClick={() => onLock(block)}
      >
        {isLocked ? 'Unlock' : 'Lock'}
      </Button>
      <Button variant="default" leftSection={<IconPlayerPlay size={16} />} onClick={() => onStart(block)}>
        {startedMs === null ? 'Mark started' : 'Mark not started'}
      </Button>
      <Button variant="default" leftSection={<IconTrash size={16} />} onClick={() => onRemove(block)}>
        Remove from plan
      </Button>
    </div>
  );
}
