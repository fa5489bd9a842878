import { ruleOf } from '@keen/core';
import { IconLock, IconPlayerPlay } from '@tabler/icons-react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { Glyph } from '../../parts/glyph.js';
import shared from './plan.module.css';
import classes from './block-button.module.css';
import { type Block, type DayStrip, shareOf } from './plan-view.js';

interface BlockButtonProps {
  readonly block: Block;
  readonly strip: DayStrip;
  /** Which of its lane's rows it stands in. */
  readonly row: number;
  readonly name: string;
  /** All that is known of it, for those who hear the page. */
  readonly label: string;
  readonly workerName: string | null;
  readonly isChosen: boolean;
  readonly isDragged: boolean;
  readonly onChoose: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onGrab: (event: PointerEvent) => void;
}

/** One wash on a day's strip. */
export function BlockButton(props: BlockButtonProps) {
  const { block, strip, row, name, label, workerName, isChosen, isDragged, onChoose, onKey, onGrab } = props;
  const left = shareOf(strip, block.startMs);
  const right = shareOf(strip, block.endMs);
  const doesNotGo = block.kind === 'planned' && block.window === null;
  return (
    <button
      type="button"
      className={shared.block}
      style={{ left: `${left * 100}%`, width: `${(right - left) * 100}%`, ['--row' as string]: row }}
      data-kind={block.kind}
      data-verdict={block.window?.verdict ?? 'unknown'}
      data-against={doesNotGo || undefined}
      data-dragged={isDragged || undefined}
      aria-pressed={isChosen}
      aria-label={label}
      title={label}
      onClick={onChoose}
      onKeyDown={onKey}
      onPointerDown={onGrab}
    >
      {block.wash?.isLocked && <IconLock size={14} aria-hidden />}
      {block.wash?.startedMs != null && <IconPlayerPlay size={14} aria-hidden />}
      {block.window && <Glyph glyph={ruleOf(block.window.limiting.ruleId).glyph} size={14} />}
      <span className={shared.blockName}>{name}</span>
      {workerName && <span className={shared.blockWorker}>{workerName}</span>}
      {block.window && (
        <span
          className={classes.comfort}
          style={{ ['--comfort' as string]: Math.min(1, Math.max(0, block.window.limiting.comfort)) }}
          aria-hidden="true"
        />
      )}
    </button>
  );
}
