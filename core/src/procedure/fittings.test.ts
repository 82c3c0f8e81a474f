import { sheetSteps } from './compose.js';
import { GREASE_REACHES, REACH_TOOLS, REACH_WORDS } from './greaseReach.js';
import { fittingsOf, NOT_SAID } from './machineSetUp.js';
import type { ServiceFittings } from './machineSetUp.js';
import { MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

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
      ...NOT_SAID,
      oilDrain: 'twoPlugs',
      oilFilter: 'upright',
      fuelFilter: 'bowl',
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
    expect(bleed?.text).toMatch(/Pre-heat until the lamp goes out, then start\. It bleeds itself/);
    expect(bleed?.tools).toEqual([]);
    // It starts the engine: not before its oil is in and it is closed.
    const oil = work('Oil', 'replace', 'engineOil');
    const both = sheetSteps({ ...self, items: [oil, DIESEL] }).map(({ key }) => key);
    expect(both.indexOf('fuelFilterReplace.bleed')).toBeGreaterThan(both.indexOf('engineOil.pour'));
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

describe('a deck', () => {
  const wash = work('Deck: clean', 'clean', 'deck');

  it('is washed through its port after the visit where it has one, nobody near', () => {
    const stepsOf = (deckWash: ServiceFittings['deckWash']) =>
      sheetSteps(setUp([wash], { fittings: fittingsOf({ deckWash }, 'ridingMower', 'gasoline') }));
    const port = stepsOf('port').find(({ key }) => key === 'deckClean.wash');
    expect(port?.phase).toBe('functionChecks');
    expect(port?.cautions).toEqual(['bladesTurn']);
    for (const other of ['none', 'notSaid'] as const)
      expect(stepsOf(other).some(({ key }) => key === 'deckClean.wash')).toBe(false);
  });

  it('has its idlers spun with the guards off, which are on again before anything runs', () => {
    const steps = sheetSteps(setUp([work('Idlers', 'inspect', 'deckIdlers')]));
    const keys = steps.map(({ key }) => key);
    expect(keys.indexOf('deckIdlers.guards')).toBeGreaterThan(keys.indexOf('deckIdlers.spin'));
    expect(steps.find(({ key }) => key === 'deckIdlers.guards')?.phase).toBe('whileItDrains');
  });
});

describe('a grease fitting', () => {
  it.each(GREASE_REACHES)('is come at as its card says: %s', (reach) => {
    const spec = {
      ...MOWER_SPEC,
      fittings: [{ component: 'axles', name: '', where: '', reach, strokes: 3 }] as const,
    };
    const [step] = sheetSteps(setUp([work('Grease', 'grease', 'axles')], { spec })).filter(
      ({ kind }) => kind === 'work',
    );
    expect(step?.text).toContain(`: ${REACH_WORDS[reach]} Wipe, pump, wipe.`);
    expect(step?.tools).toEqual(expect.arrayContaining(['grease gun', ...REACH_TOOLS[reach]]));
  });
});
