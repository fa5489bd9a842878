import { describe, expect, it } from '@jest/globals';
import { show } from '../testing/show.js';
import { StepCar, zonesOfStep } from './step-car.js';

describe('where a step is done', () => {
  it('is the zones of its groups', () => {
    expect(zonesOfStep(['wheels'], null)).toEqual(['wheels-left', 'wheels-right']);
    expect(zonesOfStep(['under', 'arches'], null)).toEqual(['arches-left', 'arches-right', 'underbody']);
    expect(zonesOfStep([], null)).toEqual([]);
  });

  it('is no more than the part at hand', () => {
    expect(zonesOfStep(['upper', 'lower'], 'left-flank')).toEqual(['upper-left', 'lower-left']);
    expect(zonesOfStep(['upper'], 'nose')).toEqual(['bonnet']);
    expect(zonesOfStep(['wheels'], 'roof')).toEqual([]);
  });

  it('is drawn for those who see it alone, and not at all beside the car', () => {
    const { container } = show(<StepCar bodyClass="hatch" groups={['lower']} part={null} />);
    expect(container.querySelector('[data-zones]')?.getAttribute('aria-hidden')).toBe('true');
    const filled = [...container.querySelectorAll('path[fill="var(--kr-slate)"]')].filter(
      (path) => path.getAttribute('opacity') !== '0',
    );
    expect(filled).toHaveLength(zonesOfStep(['lower'], null).length);
    const none = show(<StepCar bodyClass="hatch" groups={[]} part={null} />);
    expect(none.container.querySelector('[data-zones]')).toBeNull();
  });
});
