import { Select, Slider } from '@mantine/core';
import type { FilmInput } from '@keen/core';
import type { Format } from '../../format/format.js';
import { AGENT_NAMES, optionsOf } from '../../words/names.js';
import { type Dial, DIALS } from './lab-view.js';
import classes from './lab.module.css';

const MATERIALS = { steel: 'Steel', aluminium: 'Aluminium', glass: 'Glass', plastic: 'Plastic' } as const;

const AGENTS = { none: 'Plain water', ...AGENT_NAMES };

function dialText({ unit }: Dial, value: number, format: Format): string {
  switch (unit) {
    case 'temp':
      return format.temp(value);
    case 'share':
      return format.share(value);
    case 'speed':
      return format.wind(value);
    default:
      return `${value.toFixed(0)} ${unit}`;
  }
}

interface ControlsProps {
  readonly film: FilmInput;
  readonly set: (change: Partial<FilmInput>) => void;
  readonly format: Format;
}

export function Controls({ film, set, format }: ControlsProps) {
  const { brine } = film;
  return (
    <section className={classes.controls} aria-label="Inputs">
      <Select
        label="Panel"
        data={optionsOf(MATERIALS)}
        value={film.material}
        onChange={(material) => material && set({ material })}
        allowDeselect={false}
      />
      {DIALS.map((dial) => {
        const value = film[dial.field];
        return (
          <div key={dial.field}>
            <div className={classes.dial}>
              <span>{dial.label}</span>
              <span className="figure">{dialText(dial, value, format)}</span>
            </div>
            <Slider
              value={value}
              onChange={(next) => set({ [dial.field]: next })}
              min={dial.min}
              max={dial.max}
              step={dial.step}
              label={null}
              thumbLabel={dial.label}
              thumbValueText={dialText(dial, value, format)}
            />
          </div>
        );
      })}
      <Select
        label="The water is"
        data={optionsOf(AGENTS)}
        value={brine?.agent ?? 'none'}
        onChange={(agent) =>
          set({
            brine: agent && agent !== 'none' ? { agent, massPercent: brine?.massPercent ?? 5 } : undefined,
          })
        }
        allowDeselect={false}
      />
      {brine && (
        <div>
          <div className={classes.dial}>
            <span>Strength of the brine</span>
            <span className="figure">{brine.massPercent.toFixed(1)} %</span>
          </div>
          <Slider
            value={brine.massPercent}
            onChange={(massPercent) => set({ brine: { ...brine, massPercent } })}
            min={0}
            max={30}
            step={0.5}
            label={null}
            thumbLabel="Strength of the brine"
          />
        </div>
      )}
    </section>
  );
}
