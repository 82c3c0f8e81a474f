import { ACTIONS } from '../schedule/item.js';
import { proceduresFor } from '../procedure/catalogue.js';
import { PROCEDURES } from '../procedure/catalogue.js';
import { linePreview } from '../procedure/preview.js';
import {
  COMPONENT_KEYS,
  COMPONENT_KINDS,
  componentSpec,
  componentWords,
  isComponent,
  mayHave,
} from './components.js';
import type { Component } from './components.js';
import { CONSEQUENCES } from './consequence.js';
import { cardComponent, lineComponents } from './lineComponents.js';
import { componentsOfOldLine, componentsOfWords } from './oldWords.js';

describe('the list of components', () => {
  it('gives each its own words, and what it is and costs from closed lists', () => {
    const specs = COMPONENT_KEYS.map(componentSpec);
    expect(new Set(specs.map(({ words }) => words)).size).toBe(COMPONENT_KEYS.length);
    for (const { words, is, late } of specs) {
      expect(words).toBe(words.trim());
      expect(COMPONENT_KINDS).toContain(is);
      expect(CONSEQUENCES).toContain(late);
    }
  });

  it('knows its own keys and nothing else', () => {
    expect(COMPONENT_KEYS.every(isComponent)).toBe(true);
    expect(['engine oil', 'toString', '__proto__', '', null, 3].some(isComponent)).toBe(false);
  });

  it('says which machines may have one (common practice)', () => {
    expect(mayHave('coolant', 'ridingMower')).toBe(false);
    expect(mayHave('coolant', 'compactTractor', 'diesel')).toBe(true);
    expect(mayHave('sparkPlugs', 'utilityVehicle', 'diesel')).toBe(false);
    expect(mayHave('engineOil', 'zeroTurn', 'gasoline')).toBe(true);
    expect(mayHave('bedHinge', 'zeroTurn')).toBe(false);
  });

  it('is said in words', () => {
    expect(componentWords([])).toBe('');
    expect(componentWords(['engineOil'])).toBe('engine oil');
    expect(componentWords(['engineOil', 'engineOilFilter', 'sparkPlugs'])).toBe(
      'engine oil, engine oil filter and spark plugs',
    );
  });
});

const proceduresOf = (action: (typeof ACTIONS)[number], ...components: Component[]) =>
  proceduresFor({ action, components }).map(({ key }) => key);

describe('what work an action on a component is', () => {
  it.each<[string, (typeof ACTIONS)[number], Component, string]>([
    ['Dust valve: inspect', 'inspect', 'dustValve', 'dustValve'],
    ['Seat belt: inspect', 'inspect', 'seatBelt', 'byTheBook'],
    ['Engine oil heater: replace', 'replace', 'engineOilHeater', 'byTheBook'],
    ['Brake linkage: inspect', 'inspect', 'brakeLinkage', 'byTheBook'],
    ['Brake linkage: adjust', 'adjust', 'brakeLinkage', 'byTheBook'],
    ['Parking brake: adjust', 'adjust', 'parkingBrake', 'byTheBook'],
    ['Deck spindle brakes: inspect', 'inspect', 'spindleBrakes', 'spindleBrakes'],
    ['Engine drain plug: replace', 'replace', 'engineDrainPlug', 'byTheBook'],
    ['Glow plugs: replace', 'replace', 'glowPlugs', 'byTheBook'],
    ['Fuel lines: replace', 'replace', 'fuelLines', 'byTheBook'],
    ['Wheel hubs: inspect', 'inspect', 'wheelHubs', 'byTheBook'],
    ['Cylinder head bolts: tighten', 'tighten', 'cylinderHeadBolts', 'byTheBook'],
    ['Blade bolts: tighten', 'tighten', 'bladeBolts', 'byTheBook'],
    ['Gearbox oil: replace', 'replace', 'gearboxOil', 'byTheBook'],
    ['Brake fluid: replace', 'replace', 'brakeFluid', 'byTheBook'],
    ['Steering fluid: replace', 'replace', 'steeringFluid', 'byTheBook'],
    ['Safety air element: clean', 'clean', 'safetyAirElement', 'byTheBook'],
    ['Cab filter: replace', 'replace', 'cabFilter', 'byTheBook'],
    ['Crankcase breather: clean', 'clean', 'crankcaseBreather', 'byTheBook'],
    ['Something else: replace', 'replace', 'other', 'byTheBook'],
    ['Valve clearance', 'adjust', 'valves', 'valves'],
    ['Engine oil', 'replace', 'engineOil', 'engineOil'],
    ['Engine oil: look', 'inspect', 'engineOil', 'engineOilLevel'],
    ['Front differential oil', 'replace', 'frontDifferentialOil', 'frontDifferentialOil'],
    ['Transaxle oil', 'replace', 'transaxleOil', 'transaxleOil'],
  ])('%s: %s %s is %s', (_name, action, component, key) => {
    expect(proceduresOf(action, component)).toEqual([key]);
  });

  it('goes by equality alone: no pair of action and component has two procedures', () => {
    const counts = COMPONENT_KEYS.flatMap((component) =>
      ACTIONS.map((action) => [action, component, proceduresOf(action, component).length] as const),
    );
    expect(counts.filter(([, , count]) => count !== 1)).toEqual([]);
  });

  it('reaches every procedure', () => {
    const reached = COMPONENT_KEYS.flatMap((component) =>
      ACTIONS.flatMap((action) => proceduresOf(action, component)),
    );
    expect(PROCEDURES.map(({ key }) => key).filter((key) => !reached.includes(key))).toEqual([]);
  });

  it('is by the book for the part of a line that no procedure knows', () => {
    expect(proceduresOf('inspect', 'battery', 'seatBelt')).toEqual(['battery', 'byTheBook']);
    expect(proceduresOf('replace')).toEqual(['byTheBook']);
  });

  it('can be looked at before there is a machine', () => {
    const tractor = { machineClass: 'compactTractor', fuel: 'diesel', cooling: 'liquid' } as const;
    const air = linePreview('inspect', ['airFilter'], tractor);
    // Make safe and undo it, hood off and on, and the look itself.
    expect(air).toMatchObject({ steps: 5, minutes: 11, looks: ['airFilter'], isByTheBook: false });
    expect(linePreview('inspect', ['seatBelt'], tractor)).toMatchObject({
      isByTheBook: true,
      procedures: [],
    });
  });
});

describe('the words of older books and cards', () => {
  it.each<[string, string, string, readonly Component[] | null]>([
    ['Engine oil and filter', 'replace', 'engine oil', ['engineOil', 'engineOilFilter']],
    ['Engine oil', 'replace', ' Engine  Oil', ['engineOil']],
    ['Engine oil and filter', 'inspect', 'engine oil', ['engineOil']],
    [
      'Belts, battery and cooling fins: look over',
      'inspect',
      'belts, battery and fins',
      ['belts', 'battery', 'coolingFins'],
    ],
    [
      'Fan belt, brake free play, battery',
      'inspect',
      'belt, brakes and battery',
      ['fanBelt', 'brakePedals', 'battery'],
    ],
    [
      'Grease points, wheel bolts, safety-start switches',
      'grease',
      'tractor grease points',
      ['greasePoints', 'wheelNuts', 'safetyStart'],
    ],
    ['Hydro oil and filters', 'replace', 'hydro oil', ['hydroOil', 'hydroFilters']],
    ['Beacon: look over', 'inspect', 'beacon', ['lights']],
    ['Dust valve: inspect', 'inspect', 'valve of the dust thing', null],
    ['Engine oil and filter', 'replace', 'something of ours', null],
    ['Engine oil', 'replace', 'constructor', null],
    ['constructor', 'replace', 'engine oil', ['engineOil']],
    ['__proto__', 'replace', 'Wheels', ['wheelNuts', 'tyres']],
  ])('%s (%s, "%s") mean %j', (name, action, component, wanted) => {
    expect(componentsOfOldLine({ name, action, component })).toEqual(wanted);
  });

  it('are kept where only the crew lead can say what they mean', () => {
    const line = { name: 'Gadget: look', action: 'inspect', component: 'gadget' };
    expect(lineComponents(line)).toEqual({ components: [], oldWords: 'gadget' });
    expect(lineComponents({ ...line, components: ['lights'] })).toEqual({
      components: ['lights'],
      oldWords: '',
    });
  });

  it('of a card go by its names', () => {
    expect(cardComponent(undefined, 'Wheel bolts, front')).toBe('wheelNuts');
    expect(cardComponent(undefined, 'Gadget')).toBeNull();
    expect(cardComponent(null, 'Wheel bolts, front')).toBeNull();
    expect(cardComponent('engineOil', 'Gadget')).toBe('engineOil');
    expect(componentsOfWords('Transmission and hydraulic oil')).toEqual(['transmissionOil']);
  });
});
