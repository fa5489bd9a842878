import type { RuleGlyph } from '@keen/core';
import {
  IconBan,
  IconChartDots3,
  IconClock,
  IconCloudSnow,
  IconDroplet,
  IconBucketDroplet,
  IconHandStop,
  IconMoon,
  IconRoad,
  IconShieldHalf,
  IconBrush,
  IconSnowflake,
  IconSun,
  IconTemperature,
} from '@tabler/icons-react';
import { GLYPH_NAMES } from '../words/names.js';

const GLYPHS = {
  ice: IconSnowflake,
  spot: IconDroplet,
  road: IconRoad,
  clock: IconClock,
  dark: IconMoon,
  'cold-hands': IconHandStop,
  rule: IconBan,
  falling: IconCloudSnow,
  wear: IconShieldHalf,
  forecast: IconChartDots3,
  soil: IconBucketDroplet,
  scratch: IconBrush,
  sun: IconSun,
  warmth: IconTemperature,
} as const satisfies Readonly<Record<RuleGlyph, unknown>>;

interface GlyphProps {
  readonly glyph: RuleGlyph;
  readonly size?: number;
  /** Inside another drawing: where it goes. */
  readonly at?: { readonly x: number; readonly y: number };
}

/** The sign of a limiting reason; always beside its word, or named for those who hear the page. */
export function Glyph({ glyph, size = 16, at }: GlyphProps) {
  const Icon = GLYPHS[glyph];
  return (
    <Icon
      size={size}
      {...at}
      stroke={2}
      aria-label={at ? undefined : GLYPH_NAMES[glyph]}
      aria-hidden={at ? true : undefined}
      role={at ? undefined : 'img'}
    />
  );
}
