import { litreScale, millilitreScale, millilitreUnit } from '../../format/scales.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import { numberOf } from '../../parts/number-text.js';

interface VolumeFieldProps {
  readonly label: string;
  /** In mL, or in litres where that is said; as typed. */
  readonly value: number | string;
  readonly onChange: (value: number | string) => void;
  readonly inLitres?: boolean;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** How much a bottle, a cap or a filter holds, typed in the measure that this user reads. */
export function VolumeField({ label, value, onChange, inLitres = false, hint, error }: VolumeFieldProps) {
  const { display } = useFormat();
  const isMetric = display.volume === 'L';
  return (
    <NumberField
      label={label}
      unit={inLitres ? display.volume : millilitreUnit(display)}
      scale={inLitres ? litreScale(display) : millilitreScale(display)}
      decimals={isMetric && !inLitres ? 1 : 2}
      value={numberOf(value)}
      onChange={(next) => onChange(next ?? '')}
      hint={hint}
      error={error}
    />
  );
}
