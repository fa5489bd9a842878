import { ruleOf } from '@keen/core';
import { IconLock, IconPlayerPlay } from '@tabler/icons-react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { Glyph } from '../../parts/glyph.js';
import shared from './plan.module.css';
import classes from './block-button.module.css';
import type { Drawn } from './board-view.js';
import { type DayStrip, shareOf } from './plan-view.js';

interface BlockButtonProps {
  readonly drawn: Drawn;
  readonly strip: DayStrip;
  readonly name: string;
  /** All that is known of it, for those who hear the page. */
  readonly label: string;
  /** Under its name; null: nothing. */
  readonly under: string | null;
  readonly isChosen: boolean;
  readonly isDragged: boolean;
  readonly onChoose: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onGrab: (event: PointerEvent) => void;
}

/** One wash on a day's strip, as wide as its name; the line at its foot is as long as the wash. */
export function BlockButton(props: BlockButtonProps) {
  const { drawn, strip, name, label, under, isChosen, isDragged, onChoose, onKey, onGrab } = props;
  const { block, row, washFrom, washTo } = drawn;
  const left = shareOf(strip, drawn.startMs);
  const right = shareOf(strip, drawn.endMs);
  const doesNotGo = block.kind === 'planned' && block.window === null;
  return (
    <button
      type="button"
      className={shared.block}
      style={{ left: `${left * 100}%`, width: `${(right - left) * 100}%`, ['--row' as string]: row }}
      data-block={block.key}
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
      {under && <span className={shared.blockWorker}>{under}</span>}
      <span
        className={classes.comfort}
        style={{
          left: `${washFrom * 100}%`,
          width: `${(washTo - washFrom) * 100}%`,
          ['--comfort' as string]: Math.min(1, Math.max(0, block.window?.limiting.comfort ?? 0)),
        }}
        aria-hidden="true"
      />
    </button>
  );
}
