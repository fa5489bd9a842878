import type { StepFix, WashStep } from '@keen/core';
import { type OwnStep, withExtra } from './own-way.js';

/** The steps with a fault mended as the program suggests; unchanged where that needs a step that cannot be added. */
export function withFix(
  steps: readonly OwnStep[],
  { key, fix }: { readonly key: string; readonly fix: StepFix },
  extras: readonly WashStep[],
): readonly OwnStep[] {
  const changed = (change: (step: OwnStep) => OwnStep): OwnStep[] =>
    steps.map((step) => (step.key === key ? change(step) : step));
  switch (fix.kind) {
    case 'rinse-behind':
    case 'rinse-before': {
      const rinse = extras.find(({ id }) => id === 'rinse');
      const groups = steps.find((step) => step.key === key)?.own.groups ?? [];
      const where = fix.kind === 'rinse-before' ? 'before' : 'behind';
      return rinse ? withExtra(steps, { ...rinse, groups }, { key, where }) : steps;
    }
    case 'dry-before': {
      const towel = extras.find(({ id }) => id === 'towel');
      const groups = steps.find((step) => step.key === key)?.own.groups ?? [];
      return towel ? withExtra(steps, { ...towel, groups }, { key, where: 'before' }) : steps;
    }
    case 'weaken':
      return changed((step) => ({ ...step, own: { ...step.own, parts: fix.parts } }));
    case 'own-choice':
      return changed((step) => ({ ...step, own: { ...step.own, product: null } }));
    case 'any-place':
      return changed((step) => ({ ...step, own: { ...step.own, stage: null } }));
    case 'leave-out':
      return steps.flatMap((step) =>
        step.key === key ? (step.isExtra ? [] : [{ ...step, isLeftOut: true }]) : [step],
      );
  }
}
