import type { Component } from '../component/components.js';
import { composeSheet } from './sheet.js';
import type { MachineSpec } from './machineSetUp.js';
import { ANNUAL_MOWER, MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

type Line = MachineSpec['access'][number];
const line = (component: Component, more: Partial<Line>): Line => ({
  component,
  opens: null,
  name: '',
  note: '',
  openMinutes: null,
  closeMinutes: null,
  ...more,
});
const PANEL = {
  name: 'side panel',
  note: 'four bolts, 10 mm; one is longer',
  openMinutes: 5,
  closeMinutes: 6,
};
const SHIELD = { name: 'heat shield' };
const cardOf = (...access: Line[]): MachineSpec => ({ ...MOWER_SPEC, access });

const OIL = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
const PLUGS = work('Spark plugs', 'replace', 'sparkPlugs');
const keysOf = (spec: MachineSpec, ...items: ReturnType<typeof work>[]) =>
  composeSheet(setUp(items, { spec })).steps.map(({ key }) => key);

describe('what a machine has of its own to open', () => {
  const spec = cardOf(line('engineOilFilter', PANEL), line('sparkPlugs', PANEL), line('sparkPlugs', SHIELD));

  it('is opened once for all that it opens the way to, and closed in reverse', () => {
    const steps = composeSheet(setUp([OIL, PLUGS], { spec })).steps;
    const places = ['side panel.open', 'heat shield.open', 'heat shield.close', 'side panel.close'].map(
      (each) => steps.findIndex(({ key }) => key === `access.own:${each}`),
    );
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(steps.filter(({ key }) => key.startsWith('access.own:side panel'))).toMatchObject([
      {
        text: 'Open or take off: side panel (four bolts, 10 mm; one is longer). Lay its fasteners out in order.',
        handsOn: 5,
      },
      {
        text: 'Put back: side panel (four bolts, 10 mm; one is longer). Count its fasteners back in.',
        handsOn: 6,
      },
    ]);
    const at = (key: string) => steps.findIndex((own) => own.key === key);
    expect(at('oilFilter.filterOff')).toBeGreaterThan(places[0] ?? 99);
    expect(at('oilFilter.filterOn')).toBeLessThan(places[3] ?? -1);
    expect(at('plugsReplace.out')).toBeGreaterThan(places[1] ?? 99);
  });

  it('that nobody named is called after what it covers', () => {
    const { steps } = composeSheet(setUp([PLUGS], { spec: cardOf(line('sparkPlugs', {})) }));
    expect(steps.map(({ text }) => text)).toContain(
      'Open or take off: cover of the spark plugs. Lay its fasteners out in order.',
    );
  });

  it('stays shut where nothing behind it is done', () => {
    const tyres = work('Tyres', 'inspect', 'tyres');
    expect(keysOf(spec, tyres).filter((key) => key.includes('own:'))).toEqual([]);
  });

  it('is opened after the machine was made safe, whatever is reached through it', () => {
    const grease = work('Grease', 'grease', 'axles');
    const keys = keysOf(cardOf(line('axles', { name: 'skid plate' })), grease);
    const places = ['access.safe.open', 'access.own:skid plate.open', 'access.own:skid plate.close'];
    expect(places.map((key) => keys.indexOf(key)).every((place) => place >= 0)).toBe(true);
    expect(places.map((key) => keys.indexOf(key))).toEqual(
      places.map((key) => keys.indexOf(key)).toSorted((a, b) => a - b),
    );
  });

  it('closes in the minutes of opening, or three, where the card does not say', () => {
    const minutes = (more: Partial<Line>) =>
      composeSheet(setUp([PLUGS], { spec: cardOf(line('sparkPlugs', { name: 'lid', ...more })) }))
        .steps.filter(({ key }) => key.startsWith('access.own:lid'))
        .map(({ handsOn }) => handsOn);
    expect(minutes({})).toEqual([3, 3]);
    expect(minutes({ openMinutes: 7 })).toEqual([7, 7]);
    expect(minutes({ openMinutes: 7, closeMinutes: 0 })).toEqual([7, 0]);
  });
});

describe('a battery', () => {
  const isOut = (spec: MachineSpec, ...items: ReturnType<typeof work>[]) =>
    composeSheet(setUp(items, { ...TRACTOR, spec })).steps.some(
      ({ key }) => key === 'access.batteryOut.open',
    );
  const terminals = work('Terminals', 'clean', 'batteryTerminals');
  const filter = work('Fuel filter', 'clean', 'fuelFilter');

  it('comes out only where the card of the machine says that it is in the way', () => {
    expect(isOut(cardOf(), terminals, filter)).toBe(false);
    expect(isOut(cardOf(line('fuelFilter', { opens: 'batteryOut' })), filter)).toBe(true);
    expect(isOut(cardOf(line('fuelFilter', { opens: 'batteryOut' })), terminals)).toBe(false);
  });

  it('in storage is charged when all else is done, and comes out then', () => {
    const keys = keysOf(MOWER_SPEC, ...ANNUAL_MOWER);
    expect(keys.slice(-2)).toEqual(['batteryCharge.charge', 'visit.signOff']);
  });
});
