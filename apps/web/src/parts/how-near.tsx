import { type Finding, ruleOf } from '@keen/core';
import type { Format } from '../format/format.js';
import { findingText } from '../words/finding-words.js';
import { Glyph } from './glyph.js';
import classes from './how-near.module.css';
import { hasGauge, MarginGauge } from './margin-gauge.js';

interface HowNearProps {
  /** What is nearest to its limit; undefined: an older record does not say. */
  readonly limiting: Finding | undefined;
  readonly format: Format;
}

/** How near a wash comes to the limit that decides it, drawn and in words; nothing where no rule of degree does. */
export function HowNear({ limiting, format }: HowNearProps) {
  if (!limiting || !hasGauge(limiting)) return null;
  return (
    <p className={classes.near}>
      <Glyph glyph={ruleOf(limiting.ruleId).glyph} size={18} />
      <MarginGauge finding={limiting} format={format} />
      <span>Nearest limit: {findingText(limiting, format)}.</span>
    </p>
  );
}
