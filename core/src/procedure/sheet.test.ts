import fc from 'fast-check';
import { proceduresFor } from './catalogue.js';
import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import { fillNeedOf } from './fillNeed.js';
import { FUEL_FILTERS, NOT_SAID, OIL_DRAINS, OIL_FILTERS } from './machineSetUp.js';
import type { MachineSetUp, MachineSpec, WorkItem } from './machineSetUp.js';
import { phaseWords } from './phase.js';
import { composeSheet, linksOf } from './sheet.js';
import type { Sheet } from './sheet.js';
import { ANNUAL_MOWER, ANNUAL_TRACTOR, MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';
import { HOUSE_RULES, withDefaults } from '../site/houseRules.js';

const WAYS = (['fuelFilter', 'sparkPlugs', 'engineOilFilter', 'axles', 'belts'] as const).flatMap(
  (component) =>
    ([null, 'batteryOut', 'deckRaised'] as const).map((opens) => ({
      component,
      opens,
      name: opens ? '' : `cover of ${component}`,
      note: '',
      openMinutes: 2,
      closeMinutes: null,
    })),
);

const SETTINGS = fc.record({
  machineClass: fc.constantFrom('ridingMower', 'zeroTurn', 'compactTractor', 'utilityVehicle'),
  fuel: fc.constantFrom('gasoline', 'diesel'),
  oilDrain: fc.constantFrom(...OIL_DRAINS),
  oilFilter: fc.constantFrom(...OIL_FILTERS),
  fuelFilter: fc.constantFrom(...FUEL_FILTERS),
  rules: fc.record(
    Object.fromEntries(
      HOUSE_RULES.map(({ key, options }) => [key, fc.constantFrom(...options.map((each) => each.key))]),
    ),
  ),
  access: fc.subarray([...WAYS]),
  items: fc.subarray([...ANNUAL_MOWER, ...ANNUAL_TRACTOR.slice(1)], { minLength: 1 }),
});

function drawn({
  machineClass,
  fuel,
  oilDrain,
  oilFilter,
  fuelFilter,
  rules,
  access,
  items,
}: typeof SETTINGS extends fc.Arbitrary<infer T> ? T : never): MachineSetUp {
  return setUp(items, {
    machineClass,
    fuel,
    fittings: { ...NOT_SAID, oilDrain, oilFilter, fuelFilter },
    spec: { ...MOWER_SPEC, access },
    rules: withDefaults(rules),
  });
}

const at = (sheet: Sheet, key: string) => sheet.steps.findIndex((step) => step.key === key);
const keysOf = (sheet: Sheet) => sheet.steps.map(({ key }) => key);

describe('a sheet', () => {
  const oil = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
  const plugs = work('Spark plugs: replace', 'replace', 'sparkPlugs');

  it('warms before it drains, cools before the plugs, and fills the drip with dry work', () => {
    const sheet = composeSheet(setUp([oil, plugs]));
    const order = [
      'access.warm.open',
      'access.safe.open',
      'engineOil.drain',
      'oilFilter.filterOff',
      'plugsReplace.out',
    ];
    expect(order.map((key) => at(sheet, key))).toEqual(
      order.map((key) => at(sheet, key)).toSorted((a, b) => a - b),
    );
    // Plugs wait for the engine to cool, 20 min after the machine was made safe.
    const start = (key: string) => sheet.starts[at(sheet, key)] ?? 0;
    expect(start('plugsReplace.out') - start('access.cool.open')).toBeGreaterThanOrEqual(20);
    // The oil drips 8 min: the filter comes off meanwhile.
    expect(start('oilFilter.filterOff')).toBeLessThan(start('engineOil.drain') + 4 + 8);
  });

  it('of no items mends what is wrong: the machine is made safe first, with what can maim told before', () => {
    const sheet = composeSheet(setUp([]));
    const order = [
      'visit.walkRound',
      'access.safe.open',
      'visit.mend',
      'access.safe.close',
      'visit.tidy',
      'visit.signOff',
    ];
    expect(keysOf(sheet)).toEqual(order);
    expect(sheet.steps[2]?.cautions).toEqual(['raisedDeck', 'blades', 'hotEngine']);
    expect(sheet.steps.every(({ itemIds }) => itemIds.length === 0)).toBe(true);
    expect(keysOf(composeSheet(setUp([oil])))).not.toContain('visit.mend');
  });

  it('of cold plugs alone runs nothing, and only makes sure that the engine is cool', () => {
    const sheet = composeSheet(setUp([plugs]));
    expect(keysOf(sheet)).not.toContain('access.warm.open');
    const cool = sheet.steps.find(({ key }) => key === 'access.cool.open');
    expect(cool).toMatchObject({ handsOff: 0, wait: null });
  });

  it('changes the filter with the oil where another item asks for it', () => {
    const bare = work('Engine oil', 'replace', 'engineOil');
    const filter = work('Oil filter', 'replace', 'engineOilFilter');
    const need = (items: WorkItem[]) =>
      composeSheet(setUp(items)).steps.find(({ key }) => key === 'engineOil.pour')?.fills?.filterChanged;
    expect([need([bare]), need([bare, filter]), need([oil])]).toEqual([false, true, true]);
    const sheet = composeSheet(setUp([bare, filter]));
    expect(at(sheet, 'oilFilter.filterOn')).toBeLessThan(at(sheet, 'engineOil.pour'));
  });

  it('does a weaker item along with the stronger', () => {
    const sheet = composeSheet(
      setUp([work('look', 'inspect', 'airFilter'), work('new', 'replace', 'airFilter')]),
    );
    expect(keysOf(sheet)).not.toContain('airFilterInspect.look');
    expect(sheet.steps.find(({ key }) => key === 'airFilterReplace.in')?.itemIds).toEqual(['new', 'look']);
  });

  it('opens the hood before the battery and closes them the other way round', () => {
    const behind = {
      opens: 'batteryOut',
      name: '',
      note: '',
      openMinutes: null,
      closeMinutes: null,
    } as const;
    const spec = { ...MOWER_SPEC, access: [{ ...behind, component: 'fuelFilter' as const }] };
    const sheet = composeSheet(setUp(ANNUAL_TRACTOR, { ...TRACTOR, spec }));
    const keys = [
      'access.hoodOff.open',
      'access.batteryOut.open',
      'access.batteryOut.close',
      'access.hoodOff.close',
    ];
    expect(keys.map((key) => at(sheet, key)).toSorted((a, b) => a - b)).toEqual(
      keys.map((key) => at(sheet, key)),
    );
  });

  it('follows the house rules and says which', () => {
    const rules = withDefaults({ filterTightness: 'hand', drain: 'extractor', prefill: 'never' });
    const sheet = composeSheet(setUp([oil], { rules }));
    const on = sheet.steps.find(({ key }) => key === 'oilFilter.filterOn');
    expect(on).toMatchObject({ rule: 'filterTightness', text: expect.stringContaining('hand-tight') });
    expect(keysOf(sheet)).toContain('engineOil.extract');
    expect(keysOf(sheet)).not.toContain('engineOil.close');
  });

  it('snugs the filter, rolls its oil in, and pours the smaller figure first, where the shop holds it so', () => {
    const rules = withDefaults({
      filterTightness: 'snug',
      prefill: 'quarterAndRoll',
      fillTarget: 'withoutFilterFirst',
    });
    const set = setUp([oil], { rules });
    const steps = composeSheet(set).steps;
    const on = steps.find(({ key }) => key === 'oilFilter.filterOn');
    expect(on?.text).toMatch(/a quarter and roll it.*90° more with the wrench\. Never back it off/);
    const pour = steps.find(({ key }) => key === 'engineOil.pour');
    expect(pour && fillNeedOf(pour, set)).toMatchObject({ prefill: 'quarter', target: 'withoutFilterFirst' });
  });

  it.each(OIL_DRAINS)(
    'closes a drain of the kind %s as it is made: only a plug has a washer and a torque',
    (oilDrain) => {
      const spec = {
        ...MOWER_SPEC,
        torques: [{ component: 'engineDrainPlug', fastener: '', low: 16, high: 16 }] as const,
      };
      const fittings = { ...NOT_SAID, oilDrain, oilFilter: 'sideways', fuelFilter: 'inLine' } as const;
      const sheet = composeSheet(setUp([oil], { spec, fittings }));
      const close = sheet.steps.find(({ key }) => key === 'engineOil.close');
      const hasPlug = oilDrain === 'plug' || oilDrain === 'twoPlugs';
      const isOpened = oilDrain !== 'cartridge' && oilDrain !== 'extractor';
      expect([close !== undefined, close?.figures.length === 1]).toEqual([isOpened, hasPlug]);
      expect(sheet.fetch.tools.some((tool) => /sealing washer/.test(tool))).toBe(hasPlug);
      const both = oilDrain === 'twoPlugs';
      expect([
        close?.text.includes('count two') ?? false,
        sheet.fetch.tools.includes('two new sealing washers'),
      ]).toEqual([both, both]);
    },
  );

  it('judges by the figures of the card, and by common practice where it gives none', () => {
    const items = [work('Deck: level', 'adjust', 'deck'), work('Blades', 'sharpen', 'blades'), oil];
    const topUpOf = (steps: readonly SheetStep[]) => {
      const fills = steps.find(({ phase }) => phase === 'topUp')?.fills;
      return [fills?.betweenMarks, fills?.marks];
    };
    const limitsOf = (spec: Partial<MachineSpec>) => {
      const { steps } = composeSheet(setUp(items, { spec: { ...MOWER_SPEC, ...spec } }));
      return [...steps.flatMap(({ measurement }) => (measurement ? [measurement] : [])), ...topUpOf(steps)];
    };
    const usual = { isUsual: true, kind: 'deck', sidewaysWithin: 3, low: 3, high: 9 };
    expect(limitsOf({})).toEqual(
      expect.arrayContaining([
        ...[
          expect.objectContaining(usual),
          expect.objectContaining({ kind: 'bladeTips', isUsual: true }),
          null,
        ],
      ]),
    );
    const fluids = MOWER_SPEC.fluids.map((fluid) => ({ ...fluid, betweenMarks: 0.47, marks: 'ADD to FULL' }));
    const decks = [{ name: 'Deck', sidewaysWithin: 2, low: 4, high: 6, tipsWithin: 1.5 }];
    const carded = { isUsual: false, kind: 'deck', sidewaysWithin: 2, low: 4, high: 6 };
    const tips = { kind: 'bladeTips', within: 1.5, isUsual: false };
    expect(limitsOf({ fluids, decks })).toEqual(
      expect.arrayContaining([
        expect.objectContaining(carded),
        expect.objectContaining(tips),
        0.47,
        'ADD to FULL',
      ]),
    );
  });

  it('is another under every way that a house rule offers', () => {
    // The yearly service decides what is proposed, whose parts are fetched stands beside the list, and a check that is left out is none.
    const beside: readonly string[] = ['annual', 'parts', 'recheck'];
    const ofSheets = HOUSE_RULES.filter(({ key }) => !beside.includes(key));
    const items = [
      ...ANNUAL_MOWER.filter(({ components }) => !components.includes('airFilter')),
      work('Air filter: clean', 'clean', 'airFilter'),
      work('Transaxle oil', 'replace', 'transaxleOil'),
    ];
    const wordsOf = (key: string, option: string) => {
      const set = (all: WorkItem[]) => setUp(all, { rules: withDefaults({ [key]: option }) });
      const both = [items, ANNUAL_MOWER.filter(({ components }) => components.includes('airFilter'))].map(
        (all) => set([...all]),
      );
      return JSON.stringify(
        both.map((each) => sheetSteps(each).map((step) => [step.text, step.tools, fillNeedOf(step, each)])),
      );
    };
    for (const { key, options } of ofSheets) {
      const sheets = new Set(options.map((option) => wordsOf(key, option.key)));
      expect([key, sheets.size]).toEqual([key, options.length]);
    }
  });

  it('names what to fetch: tools, and litres out and in', () => {
    const { fetch } = composeSheet(setUp([oil]));
    expect(fetch.drained).toEqual([{ fluid: 'engineOil', litres: 2 }]);
    expect(fetch.tools).toContain('oil filter wrench');
  });

  it('does work that nothing is known of by its book', () => {
    const odd = work('Beacon: look over', 'inspect', 'lights');
    expect(proceduresFor(odd).map(({ key }) => key)).toEqual(['byTheBook']);
    expect(composeSheet(setUp([odd])).steps.map(({ text }) => text)).toContain(
      'Beacon: look over: as its book says.',
    );
  });

  it('keeps every order, opens and closes each access once, whatever the machine, the shop and the items', () => {
    fc.assert(
      fc.property(SETTINGS, (settings) => {
        const set = drawn(settings);
        const sheet = composeSheet(set);
        const keys = keysOf(sheet);
        expect(new Set(keys).size).toBe(keys.length);
        const start = new Map(keys.map((key, index) => [key, sheet.starts[index] ?? 0]));
        const steps = sheetSteps(set);
        const startOf = (index: number) => start.get(steps[index]?.key ?? '') ?? -1;
        const broken = linksOf(steps).filter(({ from, to, lag }) => startOf(to) < startOf(from) + lag);
        expect(broken).toEqual([]);
        const isOpened = (need: string) => start.has(`access.${need}.open`);
        expect(steps.filter(({ needs }) => !needs.every(isOpened))).toEqual([]);
        for (const { id } of set.items) expect(steps.some(({ itemIds }) => itemIds.includes(id))).toBe(true);
        const sum = steps.reduce((total, { handsOn, handsOff }) => total + handsOn + handsOff, 0);
        expect(sheet.elapsed.two).toBeGreaterThanOrEqual(sheet.criticalPath);
        expect(sheet.elapsed.one).toBeGreaterThanOrEqual(sheet.elapsed.two);
        expect(sheet.elapsed.one).toBeLessThanOrEqual(sum);
      }),
      { seed: 9, numRuns: 300 },
    );
  });
});

describe('the name of a phase', () => {
  it('says that something drains only where something does', () => {
    const dry = sheetSteps(setUp([work('Grease', 'grease', 'axles')]));
    expect(phaseWords('whileItDrains', dry)).toBe('Dry work');
    expect(phaseWords('whileItDrains', sheetSteps(setUp([work('Oil', 'replace', 'engineOil')])))).toBe(
      'While it drains',
    );
    expect(phaseWords('run', dry)).toBe('Run');
  });
});
