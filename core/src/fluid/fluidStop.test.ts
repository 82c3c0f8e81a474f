import { filledComponents, fluidStop } from './fluidStop.js';
import type { FluidTarget } from './fluidStop.js';

const OIL = {
  id: 'oil',
  action: 'replace' as const,
  components: ['engineOil' as const, 'engineOilFilter' as const],
};
const LOOK = { id: 'look', action: 'inspect' as const, components: ['coolant' as const] };
const MACHINE = {
  machineClass: 'compactTractor' as const,
  fuel: 'diesel' as const,
  items: [
    { ...OIL, name: '' },
    { ...LOOK, name: '' },
  ],
};
const TARGET: FluidTarget = { fuel: 'diesel', fluids: [], fits: [], expected: null };
const PETROL = {
  id: 'petrol',
  fluid: { kind: 'engineOil' as const, grade: '10W-30', categories: ['API SN' as const] },
};

describe('the fluids of a visit', () => {
  it('went into what was replaced; with nothing replaced, into whatever the machine has', () => {
    expect(filledComponents(MACHINE, new Set(['oil', 'look']))).toEqual(['engineOil']);
    const all = filledComponents(MACHINE, new Set(['look']));
    expect(all).toContain('coolant');
    expect(all).toContain('frontAxleOil');
    expect(all).not.toContain('brakeFluid');
    expect(all).not.toContain('airFilter');
  });

  it('stop only where they belong in none of it', () => {
    expect(fluidStop(PETROL, ['engineOil'], TARGET)).toMatchObject({
      component: 'engineOil',
      faults: [{ code: 'otherFuel' }],
    });
    // A transaxle takes engine oil.
    expect(fluidStop(PETROL, ['engineOil', 'transaxleOil'], TARGET)).toBeNull();
    expect(fluidStop({ id: 'x', fluid: null }, ['engineOil'], TARGET)).toBeNull();
    expect(fluidStop(PETROL, [], TARGET)).toBeNull();
  });

  it('are not stopped again where somebody said that they fit', () => {
    const fit = {
      component: 'engineOil' as const,
      standing: 'substitute' as const,
      articleId: 'petrol',
      fluid: PETROL.fluid,
    };
    expect(fluidStop(PETROL, ['engineOil'], { ...TARGET, fits: [fit] })).toBeNull();
    expect(fluidStop(PETROL, ['coolant'], { ...TARGET, fits: [fit] })).not.toBeNull();
  });
});
