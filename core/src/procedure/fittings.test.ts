import { sheetSteps } from './compose.js';
import { fittingsOf } from './machineSetUp.js';
import type { ServiceFittings } from './machineSetUp.js';
import { setUp, TRACTOR, work } from './testing/jobs.js';

const DIESEL = work('Fuel filter', 'replace', 'fuelFilter');
const AIR = work('Air filter', 'replace', 'airFilter');
const INNER = work('Inner element', 'replace', 'safetyAirElement');
const TERMINALS = work('Battery: clean', 'clean', 'batteryTerminals');

/** What a step of a diesel tractor says, fitted in one way. */
function words(key: string, items: (typeof AIR)[], said: Partial<ServiceFittings>): string {
  const fittings = fittingsOf(said, 'compactTractor', 'diesel');
  return sheetSteps(setUp(items, { ...TRACTOR, fittings })).find((step) => step.key === key)?.text ?? '';
}

describe('how a machine is fitted', () => {
  it('is as usual where its card says nothing, and by the card where it does', () => {
    expect(fittingsOf(undefined, 'compactTractor', 'diesel')).toEqual({
      ...{ oilDrain: 'twoPlugs', oilFilter: 'upright', fuelFilter: 'bowl' },
      ...{ fuelBleed: 'notSaid', airCleaner: 'notSaid', battery: 'notSaid' },
    });
    // A card of an older version knows three.
    const older = { oilDrain: 'hose', oilFilter: 'element', fuelFilter: 'spinOn' } as const;
    expect(fittingsOf(older, 'ridingMower', 'gasoline')).toMatchObject({ ...older, battery: 'notSaid' });
  });
});

describe('the fuel of a diesel', () => {
  it('is bled at its screw or by itself, with the wrench only where there is a screw', () => {
    expect(words('fuelFilterReplace.bleed', [DIESEL], { fuelBleed: 'screw' })).toMatch(
      /^Open the bleed screw/,
    );
    expect(words('fuelFilterReplace.bleed', [DIESEL], { fuelBleed: 'screw' })).not.toMatch(/itself/);
    expect(words('fuelFilterReplace.bleed', [DIESEL], {})).toMatch(/bleed screw.*bleeds itself/);
    const self = setUp([DIESEL], {
      ...TRACTOR,
      fittings: fittingsOf({ fuelBleed: 'self' }, 'compactTractor', 'diesel'),
    });
    const bleed = sheetSteps(self).find(({ key }) => key === 'fuelFilterReplace.bleed');
    expect(bleed?.text).toMatch(/bleeds itself in starting. Pre-heat/);
    expect(bleed?.tools).toEqual([]);
    expect(bleed?.cautions).toContain('dieselInjection');
  });

  it('is lit by pre-heating before every run, and that of a gasoline engine is not', () => {
    const oil = work('Oil', 'replace', 'engineOil');
    expect(words('shared.run', [oil], {})).toMatch(/^Pre-heat until the lamp goes out, then start\./);
    const gasoline = sheetSteps(setUp([oil])).find(({ key }) => key === 'shared.run');
    expect(gasoline?.text).toMatch(/^Run it/);
  });
});

describe('an air cleaner of two stages', () => {
  it('keeps its inner element in while the outer is changed, and its dust valve is squeezed', () => {
    const out = (said: Partial<ServiceFittings>) => words('airFilterReplace.out', [AIR], said);
    expect(out({ airCleaner: 'twoStage' })).toMatch(/Leave the inner element in/);
    expect(out({ airCleaner: 'single' })).not.toMatch(/inner element/);
    expect(words('airFilterReplace.wipe', [AIR], { airCleaner: 'twoStage' })).toMatch(/dust valve/);
    expect(words('airFilterReplace.wipe', [AIR], { airCleaner: 'single' })).not.toMatch(/dust valve/);
  });

  it('has its inner element changed in one move where the work asks for that', () => {
    expect(words('airFilterReplace.inner', [AIR, INNER], {})).toMatch(/never cleaned, and never left out/);
    expect(words('airFilterReplace.inner', [AIR], {})).toBe('');
    expect(words('airFilterReplace.out', [AIR, INNER], { airCleaner: 'twoStage' })).not.toMatch(/inner/);
  });
});

describe('a battery', () => {
  it.each([
    ['serviceable', /distilled water up to the ring/],
    ['sealed', /nothing is filled in/],
    ['window', /colours printed beside it/],
    ['notSaid', /Water in a serviceable battery/],
  ] as const)('that is %s is cared for as such', (battery, care) => {
    expect(words('batteryClean.clean', [TERMINALS], { battery })).toMatch(care);
  });
});
