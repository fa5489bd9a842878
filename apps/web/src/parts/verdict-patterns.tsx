import type { VerdictKind } from '@keen/core';

/** Fills by verdict, told apart by pattern as well as by colour: what goes is full, what does not is nearly blank. */
export const verdictFill = (verdict: VerdictKind): string => `url(#verdict-${verdict})`;

/** Pattern definitions; put once into any drawing that uses the fills. */
export function VerdictPatterns() {
  return (
    <defs>
      <pattern id="verdict-go" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="var(--kr-brine-fill)" />
      </pattern>
      <pattern
        id="verdict-go-if"
        width="8"
        height="8"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="8" height="8" fill="var(--kr-brine-soft)" />
        <rect width="4" height="8" fill="var(--kr-brine-fill)" />
      </pattern>
      <pattern id="verdict-wait" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--kr-panel)" />
        <circle cx="3" cy="3" r="0.9" fill="var(--kr-slate)" opacity="0.6" />
      </pattern>
      <pattern id="verdict-no" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--kr-panel)" />
        <path d="M0 3.5 H7" stroke="var(--kr-slate)" strokeWidth="0.7" opacity="0.7" />
      </pattern>
      <pattern id="verdict-unknown" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="none" />
        <path d="M0 4 H4" stroke="var(--kr-slate)" strokeWidth="1" />
      </pattern>
      <pattern
        id="members-disagree"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <rect width="1.6" height="5" fill="var(--kr-ink)" opacity="0.55" />
      </pattern>
    </defs>
  );
}

/** A small swatch of a verdict for a legend or beside its word. */
export function VerdictSwatch({
  verdict,
  size = 18,
}: {
  readonly verdict: VerdictKind;
  readonly size?: number;
}) {
  return (
    <svg width={size} height={size} aria-hidden="true" style={{ flex: 'none' }}>
      <VerdictPatterns />
      <rect
        x="0.5"
        y="0.5"
        width={size - 1}
        height={size - 1}
        rx="3"
        fill={verdictFill(verdict)}
        stroke="var(--kr-slate)"
      />
    </svg>
  );
}
