import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import type { WorkItem } from './machineSetUp.js';
import { composeSheet } from './sheet.js';
import { setUp, work } from './testing/jobs.js';

const stepsOf = (items: readonly WorkItem[]) => sheetSteps(setUp(items));
const step = (steps: readonly SheetStep[], key: string) => {
  const found = steps.find((each) => each.key === key);
  if (!found) throw new Error(`There is no ${key} among ${steps.map((each) => each.key).join(', ')}.`);
  return found;
};

describe('blades and foam', () => {
  const keys = (item: WorkItem) =>
    stepsOf([item])
      .filter(({ kind }) => kind === 'work')
      .map(({ key }) => key.split('.')[1]);

  it('are looked at, ground or replaced as the line says, never more', () => {
    expect(keys(work('look', 'inspect', 'blades'))).toEqual(['look', 'tips', 'spindle', 'caps']);
    expect(keys(work('grind', 'sharpen', 'blades'))).toEqual(['look', 'tips', 'spindle', 'sharpen', 'refit']);
    expect(keys(work('new', 'replace', 'blades'))).toEqual(['look', 'tips', 'spindle', 'off', 'refit']);
    // New blades need no grinding, even where another line asks for it.
    const both = stepsOf([work('grind', 'sharpen', 'blades'), work('new', 'replace', 'blades')]);
    expect(both.some(({ text }) => /grind/.test(text))).toBe(false);
    expect(keys(work('wash', 'clean', 'airPreFilter'))).toEqual(['wash', 'refit']);
    expect(keys(work('new', 'replace', 'airPreFilter'))).toEqual(['change']);
  });
});

describe('a deck', () => {
  it('is levelled on the ground, after its tyres; its belt is pressed with the deck down', () => {
    const items = [
      work('Level', 'adjust', 'deck'),
      work('Belt', 'inspect', 'deckBelt'),
      work('Blades', 'sharpen', 'blades'),
    ];
    const { steps } = composeSheet(setUp(items));
    const order = ['deckLevel.tyres', 'blades.refit', 'access.deckRaised.close', 'deckLevel.measure'];
    const places = order.map((key) => steps.findIndex((own) => own.key === key));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    for (const key of ['deckLevel.measure', 'belts.look', 'belts.deflection'])
      expect(step(steps, key)).toMatchObject({
        phase: 'onTheGround',
        text: expect.stringContaining('Key still out'),
      });
  });
});

describe('a battery', () => {
  it('is measured at rest once, before anything runs, whoever asks; it is charged after the visit', () => {
    const items = [
      work('Oil', 'replace', 'engineOil'),
      work('Test', 'inspect', 'battery'),
      work('Clean', 'clean', 'batteryTerminals'),
      work('Charge', 'charge', 'battery'),
    ];
    const { steps } = composeSheet(setUp(items));
    const rests = steps.filter(({ measurement }) => measurement?.kind === 'battery');
    expect(rests.map(({ key, itemIds }) => [key, itemIds])).toEqual([
      ['shared.restVoltage', ['Test', 'Clean', 'Charge']],
    ]);
    const place = (key: string) => steps.findIndex((own) => own.key === key);
    expect(place('shared.restVoltage')).toBeLessThan(place('access.warm.open'));
    expect(place('batteryCharge.charge')).toBeGreaterThan(place('battery.charging'));
    expect(place('batteryCharge.charge')).toBeGreaterThan(place('engineOil.dipstick'));
  });
});

describe('the spindle brakes of a deck', () => {
  it('are their own work: pads, pivots, springs, and how soon the blades stand still', () => {
    const steps = stepsOf([work('Spindle brakes', 'inspect', 'spindleBrakes')]);
    expect(step(steps, 'spindleBrakes.look').text).toMatch(/pad .*pivot.*spring/);
    expect(steps.some(({ key }) => key.startsWith('freePlay.'))).toBe(false);
    // The engine runs and the blades turn: what is said of blades at rest would be wrong there.
    expect(step(steps, 'spindleBrakes.stop').cautions).toEqual(['bladesTurn', 'machineRuns']);
  });
});
