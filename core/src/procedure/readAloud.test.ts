import { sheetSteps } from './compose.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import { MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

/** What a mechanic found wrong who read whole services aloud. */

const OIL = work('Oil', 'replace', 'engineOil');
const PLUGS = work('Plugs', 'inspect', 'sparkPlugs');
const COOLANT = work('Coolant', 'replace', 'coolant');
const keysOf = (items: readonly WorkItem[], over: Partial<MachineSetUp> = {}) =>
  sheetSteps(setUp(items, over)).map(({ key }) => key);
const textOf = (key: string, items: readonly WorkItem[], over: Partial<MachineSetUp> = {}) =>
  sheetSteps(setUp(items, over)).find((each) => each.key === key)?.text;

describe('an engine that is warmed to be drained', () => {
  it('cools while the oil runs out, not before', () => {
    const keys = keysOf([OIL, PLUGS]);
    const places = ['access.warm.open', 'engineOil.drain', 'access.cool.open', 'plugsInspect.out'].map(
      (key) => keys.indexOf(key),
    );
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places).not.toContain(-1);
  });

  it('cools before anything is opened where that has to be cold', () => {
    const keys = keysOf([OIL, COOLANT], TRACTOR);
    expect(keys.indexOf('access.cool.open')).toBeLessThan(keys.indexOf('coolantChange.drain'));
  });

  it('was not warmed for plugs alone: one only feels it', () => {
    expect(textOf('access.cool.open', [PLUGS])).toBe('Feel the cylinder head: it must be cool.');
  });
});

describe('fuel', () => {
  it.each(['replace', 'clean'] as const)(
    'is let in again before the engine runs, after a filter to %s',
    (action) => {
      const steps = sheetSteps(setUp([work('Fuel filter', action, 'fuelFilter')], TRACTOR));
      const opened = steps.findIndex(({ text }) => text.includes('Open the tap and look for drips'));
      const bled = steps.findIndex(({ key }) => key.endsWith('.bleed'));
      const runs = steps.findIndex(({ text }) => text.startsWith('Run the engine, look for drips'));
      expect([opened, bled, runs]).toEqual([opened, bled, runs].sort((a, b) => a - b));
      expect(opened).toBeGreaterThan(0);
      expect(steps[runs]?.cautions).toEqual(expect.arrayContaining(['fuel', 'exhaust']));
    },
  );
});

describe('what a machine has not', () => {
  it('is not closed: hydro units run out of their filters, and no plug goes back', () => {
    const hydro = [work('Hydro oil', 'replace', 'hydroOil', 'hydroFilters')];
    const keys = keysOf(hydro, { machineClass: 'zeroTurn' });
    expect(keys).toContain('hydroOil.filter');
    expect(keys).not.toContain('hydroOil.close');
    expect(textOf('hydroOil.fill', hydro, { machineClass: 'zeroTurn' })).toContain('close them');
  });

  it('is not blown out: an engine cooled by air has no radiator, one by liquid no fins', () => {
    const screen = [work('Screen', 'clean', 'radiatorScreen')];
    expect(textOf('cooling.blow', screen)).toContain('cooling fins');
    expect(textOf('cooling.blow', screen)).not.toContain('radiator');
    expect(textOf('cooling.blow', screen, TRACTOR)).toContain('radiator');
  });

  it('is no figure that a plug is tightened to', () => {
    expect(textOf('plugsInspect.in', [PLUGS])).toContain('then to the figure');
    const none = { ...MOWER_SPEC, torques: [] };
    expect(textOf('plugsInspect.in', [PLUGS], { spec: none })).toContain('then an eighth of a turn');
  });

  it('is no cut that unequal tyres spoil, where it cuts nothing', () => {
    const tyres = [work('Tyres', 'inspect', 'tyres')];
    expect(textOf('tyres.rear', tyres)).toContain('the cut is not level');
    expect(textOf('tyres.rear', tyres, { machineClass: 'utilityVehicle' })).toContain('pulls to one side');
  });
});
