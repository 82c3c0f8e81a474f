import { STANDING_LOOKS } from '../walk/standingLook.js';
import { lookOf } from './lookOf.js';
import { LOOKS } from './looks.js';

describe('the look of a component', () => {
  it('is that of the first that has one', () => {
    expect(lookOf(['dustValve', 'airFilter'])).toBe('airFilter');
    expect(lookOf(['deckBelt'])).toBe('belt');
    expect(lookOf(['safetyStart'])).toBeNull();
    expect(lookOf([])).toBeNull();
  });

  it('is the one that the standing look shows, where that speaks of the same', () => {
    for (const { look, fluids = [] } of STANDING_LOOKS)
      for (const fluid of fluids) expect(lookOf([fluid])).toBe(look);
  });

  it('leaves no look out', () => {
    const engine = [
      'airFilter',
      'sparkPlugs',
      'engineOil',
      'fuelFilter',
      'deckBelt',
      'hydraulicHoses',
    ] as const;
    const others = [
      'hydraulicOil',
      'gearboxOil',
      'coolant',
      'brakeFluid',
      'blades',
      'deckSpindles',
      'tyres',
    ] as const;
    const looks = new Set([...engine, ...others].map((component) => lookOf([component])));
    expect([...looks].sort()).toEqual(Object.keys(LOOKS).sort());
  });
});
