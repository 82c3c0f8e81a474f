import type { Component } from '../component/components.js';
import { withDefaults } from '../site/houseRules.js';
import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import { fittingsOf, NOT_SAID } from './machineSetUp.js';
import type { MachineSetUp, MachineSpec, WorkItem } from './machineSetUp.js';
import { composeSheet } from './sheet.js';
import { MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

const fluid = (component: Component, litres: number) => ({
  component,
  litresWithFilter: litres,
  litresWithoutFilter: null,
  grades: [],
});
const torque = (component: Component | null, fastener: string, low: number, high = low) => ({
  component,
  fastener,
  low,
  high,
});
const stepsOf = (
  items: readonly WorkItem[],
  spec: Partial<MachineSpec> = {},
  over: Partial<MachineSetUp> = {},
) => sheetSteps(setUp(items, { ...over, spec: { ...MOWER_SPEC, ...spec } }));
const step = (steps: readonly SheetStep[], key: string) => {
  const found = steps.find((each) => each.key === key);
  if (!found) throw new Error(`There is no ${key} among ${steps.map((each) => each.key).join(', ')}.`);
  return found;
};
const figures = ({ figures: all }: SheetStep) => all.map(({ label, low }) => `${label} ${low}`);

describe('a fastener has its own figure', () => {
  const torques = [
    torque('engineDrainPlug', '', 35),
    torque('transmissionPlugs', 'Transmission plugs', 50),
    torque('frontAxlePlugs', '', 40),
    torque(null, 'Drain plug of something', 99),
  ];
  const fluids = [fluid('engineOil', 3.7), fluid('transmissionOil', 18), fluid('frontAxleOil', 4.5)];
  const oils = [
    work('Engine oil', 'replace', 'engineOil'),
    work('Transmission oil', 'replace', 'transmissionOil', 'transmissionStrainer'),
    work('Front axle oil', 'replace', 'frontAxleOil'),
  ];

  it('at each of three drains, and never that of another', () => {
    const steps = stepsOf(oils, { torques, fluids }, TRACTOR);
    expect(figures(step(steps, 'engineOil.close'))).toEqual(['Engine drain plug 35']);
    expect(figures(step(steps, 'transmissionOil.close'))).toEqual(['Transmission plugs 50']);
    expect(figures(step(steps, 'frontAxleOil.close'))).toEqual(['Front axle plugs 40']);
  });

  it('and asks for the torque wrench only where there is one, unless the shop wants it on all', () => {
    const bare = stepsOf(oils, { torques: [torques[0] ?? torque(null, '', 1)], fluids }, TRACTOR);
    expect(step(bare, 'engineOil.close').tools).toContain('torque wrench');
    expect(step(bare, 'frontAxleOil.close').tools).not.toContain('torque wrench');
    const rules = withDefaults({ torque: 'all' });
    const all = stepsOf(oils, { torques: [], fluids }, { ...TRACTOR, rules });
    expect(step(all, 'frontAxleOil.close').text).toContain('No figure in the book');
  });

  it('on wheels and on a loader, each with a count of its own', () => {
    const steps = stepsOf(
      [work('Wheel bolts', 'tighten', 'wheelNuts'), work('Loader bolts', 'tighten', 'loaderBolts')],
      {
        torques: [
          torque('wheelNuts', 'Wheel bolts, front', 77, 90),
          torque('wheelNuts', 'Wheel bolts, rear', 109, 126),
          torque('loaderBolts', '', 70),
        ],
      },
      TRACTOR,
    );
    expect(figures(step(steps, 'wheelNuts.torque'))).toEqual([
      'Wheel bolts, front 77',
      'Wheel bolts, rear 109',
    ]);
    expect(figures(step(steps, 'loaderBolts.torque'))).toEqual(['Loader bolts 70']);
    const counted = steps.filter(({ measurement }) => measurement?.kind === 'bolts');
    expect(counted.map(({ itemIds }) => itemIds)).toEqual([['Wheel bolts'], ['Loader bolts']]);
  });
});

describe('a line of several components', () => {
  it('asks for the work of each, and settles as one', () => {
    const look = work('Belts, battery and fins', 'inspect', 'belts', 'battery', 'coolingFins');
    const steps = stepsOf([look]);
    expect(steps.filter(({ kind }) => kind === 'work').map(({ key }) => key)).toEqual([
      'cooling.blow',
      'belts.look',
      'belts.deflection',
      'battery.charging',
    ]);
    expect(steps.every(({ itemIds }) => itemIds.includes(look.id))).toBe(true);
  });

  it('sends to its book for the part that nothing is known of, by its own name', () => {
    const odd = work('Battery and horn', 'inspect', 'battery', 'seatBelt');
    const texts = stepsOf([odd]).map(({ text }) => text);
    expect(texts).toContain('Battery and horn: as its book says.');
    expect(texts.some((text) => text.includes('easure the voltage at rest'))).toBe(true);
  });

  it('does a second line of the same work along with it, once', () => {
    const both = work('Oil and filter', 'replace', 'engineOil', 'engineOilFilter');
    const filter = work('Filter', 'replace', 'engineOilFilter');
    const steps = stepsOf([both, filter]);
    const offs = steps.filter(({ key }) => key.endsWith('filterOff'));
    expect(offs.map(({ itemIds }) => itemIds)).toEqual([['Oil and filter', 'Filter']]);
  });
});

describe('gear oils', () => {
  it('of transaxle and front differential are two works, each with its own litres and drain', () => {
    const items = [
      work('Transaxle oil', 'replace', 'transaxleOil'),
      work('Front differential oil', 'replace', 'frontDifferentialOil'),
    ];
    const spec = { ...MOWER_SPEC, fluids: [fluid('transaxleOil', 1.5), fluid('frontDifferentialOil', 0.4)] };
    const sheet = composeSheet(setUp(items, { machineClass: 'utilityVehicle', spec }));
    expect(sheet.fetch.filled).toEqual([
      { fluid: 'transaxleOil', litres: 1.5 },
      { fluid: 'frontDifferentialOil', litres: 0.4 },
    ]);
    const drains = sheet.steps.filter(({ phase }) => phase === 'startDraining');
    // The fill plug comes out before the drain plug: who cannot fill must not drain.
    for (const key of ['transaxleOil', 'frontDifferentialOil']) {
      const [prove, drain] = ['prove', 'drain'].map((id) =>
        sheet.steps.findIndex((own) => own.key === `${key}.${id}`),
      );
      expect(sheet.steps[prove ?? -1]?.text).toContain('If it does not open, stop');
      expect(prove).toBeLessThan(drain ?? -1);
    }
    expect(drains.map(({ vessel }) => vessel)).toEqual(['pan', 'pan']);
  });

  it('say nothing of litres where the card does not have them', () => {
    const [drain] = stepsOf([work('Transaxle oil', 'replace', 'transaxleOil')], { fluids: [] }).filter(
      ({ phase }) => phase === 'startDraining',
    );
    expect(drain?.drains).toBeNull();
  });
});

describe('the engine oil', () => {
  const oil = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
  const fittings = (over: Partial<MachineSetUp['fittings']>) => ({
    fittings: fittingsOf({ oilDrain: 'plug', oilFilter: 'upright', ...over }, 'ridingMower', 'gasoline'),
  });

  it('counts its filter only where the job changes it and the engine has one', () => {
    const changed = (items: WorkItem[], over = fittings({})) =>
      step(stepsOf(items, {}, over), 'engineOil.pour').fills?.filterChanged;
    expect(changed([oil])).toBe(true);
    expect(changed([work('Engine oil', 'replace', 'engineOil')])).toBe(false);
    expect(changed([oil], fittings({ oilFilter: 'none' }))).toBe(false);
  });

  it('in a cartridge is turned out and in: no filter besides, nothing drained', () => {
    const steps = stepsOf([oil], {}, fittings({ oilDrain: 'cartridge' }));
    expect(steps.some(({ key }) => key.startsWith('oilFilter.'))).toBe(false);
    expect(steps.every(({ drains }) => drains === null)).toBe(true);
    expect(step(steps, 'engineOil.cartridge').text).toContain('Twist the old oil cartridge out');
    // It brings its oil with it: nothing is poured, fetched, topped up or emptied.
    expect(steps.every(({ fills }) => fills === null)).toBe(true);
    const sheet = composeSheet(setUp([oil], { ...fittings({ oilDrain: 'cartridge' }) }));
    expect([sheet.fetch.filled, sheet.fetch.drained]).toEqual([[], []]);
    expect(sheet.fetch.tools).not.toContain('jug with a scale');
    expect(steps.map(({ text }) => text).join(' ')).not.toMatch(/pour/i);
    expect(step(steps, 'engineOil.dipstick').look).toBe('engineOil');
  });

  it('tells a filter line of its own that such an engine has nothing to change', () => {
    const lines = [
      work('Engine oil', 'replace', 'engineOil'),
      work('Oil filter', 'replace', 'engineOilFilter'),
    ];
    const steps = stepsOf(lines, {}, fittings({ oilFilter: 'none' }));
    const own = steps.filter(({ kind, itemIds }) => kind === 'work' && itemIds.includes('Oil filter'));
    expect(own.map(({ text }) => text)).toEqual([
      'By its card this engine has no filter to change: nothing is done.',
    ]);
  });

  it('goes on at the top-up with what was said at the pour', () => {
    expect(step(stepsOf([oil]), 'engineOil.dipstick').continues).toBe('engineOil.pour');
  });

  it('pumped out goes into the extractor, let out into the pan', () => {
    const vessels = (drain: string) =>
      stepsOf([oil], {}, { ...fittings({}), rules: withDefaults({ drain }) }).flatMap(
        ({ vessel }) => vessel ?? [],
      );
    expect(vessels('plug')).toEqual(['pan']);
    expect(vessels('extractor')).toEqual(['extractor']);
    expect(vessels('extractorThenPlug')).toEqual(['extractor']);
  });
});

describe('figures of the card', () => {
  it('for belts are those of the belt that is looked at; all of them for all belts', () => {
    const plays = [
      { component: 'fanBelt', name: '', low: 7, high: 9 },
      { component: 'deckBelt', name: 'Deck belt, mid-span', low: 10, high: 13 },
      { component: 'brakePedals', name: '', low: 30, high: 40 },
    ] as const;
    const labels = (component: Component) =>
      stepsOf([work('Look', 'inspect', component)], { plays }).flatMap(
        ({ measurement }) => measurement?.label ?? [],
      );
    expect(labels('fanBelt')).toEqual(['Fan belt']);
    expect(labels('deckBelt')).toEqual(['Deck belt, mid-span']);
    expect(labels('belts')).toEqual(['Fan belt', 'Deck belt, mid-span']);
    expect(labels('brakePedals')).toEqual(['Brake pedals']);
    expect(labels('driveBelt')).toEqual([]);
  });

  it('for tyres are those of the axle that is asked for', () => {
    const tyres = [
      { axle: 'front', low: 83, high: 97, sidewallMaximum: 150 },
      { axle: 'rear', low: 69, high: 83, sidewallMaximum: 97 },
    ] as const;
    const axles = (component: Component) =>
      stepsOf([work('Tyres', 'inspect', component)], { tyres }).flatMap(
        ({ measurement }) => measurement?.label ?? [],
      );
    expect(axles('rearTyres')).toEqual(['Pressure, rear pair']);
    expect(axles('frontTyres')).toEqual(['Pressure, front pair']);
    expect(axles('tyres')).toEqual(['Pressure, front pair', 'Pressure, rear pair']);
  });

  it('for tools are those of the component, not of another whose name has the same word', () => {
    const tools = [
      { component: 'sparkPlugs', name: '', note: 'deep socket 5/8 in' },
      { component: 'engineDrainPlug', name: 'Drain plug', note: '17 mm' },
    ] as const;
    const steps = stepsOf(
      [work('Plugs', 'replace', 'sparkPlugs'), work('Oil', 'replace', 'engineOil')],
      { tools },
      { fittings: { ...NOT_SAID, oilDrain: 'plug', oilFilter: 'upright', fuelFilter: 'inLine' } },
    );
    expect(step(steps, 'plugsReplace.out').tools).toEqual([
      ...['Spark plugs: deep socket 5/8 in', 'blower', 'goggles'],
    ]);
    expect(step(steps, 'engineOil.drain').tools).toContain('Drain plug: 17 mm');
  });
});

describe('grease', () => {
  const fittings = [
    { component: 'axles', name: 'Axle pivot', where: '', strokes: 3 },
    { component: 'deckSpindles', name: '', where: 'three', strokes: 2 },
    { component: 'loaderPins', name: '', where: '', strokes: 4 },
    { component: null, name: 'Somewhere', where: '', strokes: 9 },
  ] as const;
  const pumped = (...items: WorkItem[]) =>
    stepsOf(items, { fittings }).flatMap(({ measurement }) =>
      measurement?.kind === 'grease' ? [measurement.label] : [],
    );

  it('goes to the fittings of the components that a line names', () => {
    expect(pumped(work('Pivot', 'grease', 'axles'))).toEqual(['Strokes at Axle pivot']);
    expect(pumped(work('Deck', 'grease', 'deckSpindles'))).toEqual(['Strokes at Deck spindles']);
  });

  it('goes to all of the machine for all grease points; a loader has a book of its own', () => {
    expect(pumped(work('All', 'grease', 'greasePoints'))).toEqual([
      'Strokes at Axle pivot',
      'Strokes at Deck spindles',
    ]);
  });

  it('goes once to a fitting that two lines of a job ask for', () => {
    const all = work('All', 'grease', 'greasePoints');
    expect(pumped(all, work('Deck', 'grease', 'deckSpindles')).toSorted()).toEqual([
      'Strokes at Axle pivot',
      'Strokes at Deck spindles',
    ]);
  });

  it('is one step without figures where the card names no fitting', () => {
    const steps = stepsOf([work('Casters', 'grease', 'casters')], { fittings });
    expect(step(steps, 'grease.grease').measurement).toBeNull();
  });
});

describe('hoses', () => {
  it('under pressure are never felt for, those with coolant are hot', () => {
    const cautions = (component: Component) =>
      stepsOf([work('Hoses', 'inspect', component)], {}, TRACTOR).find(({ look }) => look === 'hose')
        ?.cautions;
    expect(cautions('hydraulicHoses')).toEqual(['hydraulicPressure']);
    expect(cautions('loaderHydraulics')).toEqual(['hydraulicPressure']);
    expect(cautions('radiatorHoses')).toEqual(['hotCoolant']);
  });
});
