import { componentSpec, COMPONENTS } from '../component/components.js';
import type { Component, ComponentClass, ComponentFuel } from '../component/components.js';
import { fieldsOf } from '../measurement/measurement.js';
import { keysOf } from '../names/record.js';
import { HOUSE_RULES, withDefaults } from '../site/houseRules.js';
import { LOOKS } from '../check/looks.js';
import { CAUTIONS } from './caution.js';
import { PROCEDURES, proceduresFor } from './catalogue.js';
import type { SheetStep } from './compose.js';
import {
  AIR_CLEANERS,
  BATTERIES,
  DECK_WASHES,
  FLUID_DRAINS,
  FUEL_BLEEDS,
  FUEL_FILTERS,
  OIL_DRAINS,
  OIL_FILTERS,
} from './machineSetUp.js';
import type { FluidDrain, MachineSetUp, MachineSpec, ServiceFittings, WorkItem } from './machineSetUp.js';
import { orderedPairs } from './orders.js';
import { PHASES } from './phase.js';
import type { Phase } from './phase.js';
import type { Work } from './procedure.js';
import { composeSheet } from './sheet.js';
import type { Sheet } from './sheet.js';
import { setUp } from './testing/jobs.js';

const CLASSES = ['ridingMower', 'zeroTurn', 'compactTractor', 'utilityVehicle'] as const;
const FUELS = ['gasoline', 'diesel'] as const;
const FITTINGS: readonly ServiceFittings[] = OIL_DRAINS.flatMap((oilDrain) =>
  OIL_FILTERS.flatMap((oilFilter) =>
    FUEL_FILTERS.map((fuelFilter, index) => ({
      oilDrain,
      oilFilter,
      fuelFilter,
      fuelBleed: FUEL_BLEEDS[index % FUEL_BLEEDS.length] ?? 'notSaid',
      deckWash: DECK_WASHES[index % DECK_WASHES.length] ?? 'notSaid',
      airCleaner: AIR_CLEANERS[index % AIR_CLEANERS.length] ?? 'notSaid',
      battery: BATTERIES[(index + OIL_FILTERS.indexOf(oilFilter)) % BATTERIES.length] ?? 'notSaid',
    })),
  ),
);
/** What is fitted to the engine changes these; of other work a few fittings are tried. */
const OF_THE_ENGINE: ReadonlySet<Component> = new Set(['engineOil', 'engineOilFilter', 'fuelFilter']);

/** A card with a figure for everything that may have one, called by its component. */
const WHOLE_CARD: MachineSpec = {
  fluids: keysOf(COMPONENTS)
    .filter((component) => componentSpec(component).is === 'fluid')
    .map((component) => ({
      component,
      litresWithFilter: 3,
      litresWithoutFilter: 2.7,
      betweenMarks: 0.5,
      marks: 'LOW to FULL',
      grades: [],
    })),
  torques: keysOf(COMPONENTS)
    .filter((component) => ['fastener', 'wearPart'].includes(componentSpec(component).is))
    .map((component) => ({ component, fastener: component, low: 20, high: 25 })),
  plugs: [{ type: '5/8 in', gap: 0.762 }],
  tyres: [
    { axle: 'front', low: 69, high: 83, sidewallMaximum: 97 },
    { axle: 'rear', low: 55, high: 69, sidewallMaximum: 97 },
  ],
  plays: keysOf(COMPONENTS)
    .filter((component) => ['belt', 'play'].includes(componentSpec(component).is))
    .map((component) => ({ component, name: component, low: 10, high: 13 })),
  decks: [],
  charging: [],
  fittings: [],
  access: [],
  tools: [],
};

/** The same card, its fluids coming out by one way. */
const drainedBy = (drain: FluidDrain | null): MachineSpec => ({
  ...WHOLE_CARD,
  fluids: WHOLE_CARD.fluids.map((fluid) => ({ ...fluid, drain })),
});

/** Torques that a piece of work goes by besides those of what it is done to. */
const FASTENED_BY: Partial<Record<Component, readonly Component[]>> = {
  engineOil: ['engineDrainPlug'],
  transmissionOil: ['transmissionPlugs'],
  transmissionStrainer: ['transmissionPlugs'],
  transaxleOil: ['transaxlePlug'],
  frontAxleOil: ['frontAxlePlugs'],
  frontDifferentialOil: ['frontDifferentialPlug'],
  blades: ['bladeBolts'],
  loaderPins: ['loaderBolts'],
};

const mayHave = (component: Component, machineClass: ComponentClass, fuel: ComponentFuel) => {
  const { classes, fuel: goesWith } = componentSpec(component);
  return (!classes || classes.includes(machineClass)) && (!goesWith || goesWith === fuel);
};

const WORKS: readonly Work[] = PROCEDURES.flatMap(({ does }) => does);
const itemOf = ({ action, component }: Work): WorkItem => ({
  id: `${action}-${component}`,
  name: `${componentSpec(component).words}: ${action}`,
  action,
  components: [component],
});
/** The nth choice of every house rule. */
const rulesAt = (n: number) =>
  withDefaults(
    Object.fromEntries(HOUSE_RULES.map(({ key, options }) => [key, options[n % options.length]?.key])),
  );

function* everySetUp(): Generator<MachineSetUp> {
  let count = 0;
  for (const machineClass of CLASSES) {
    for (const fuel of FUELS) {
      const works = WORKS.filter(({ component }) => mayHave(component, machineClass, fuel));
      for (const work of works) {
        const tried = OF_THE_ENGINE.has(work.component)
          ? FITTINGS
          : [0, 37].map((step) => FITTINGS[(count + step) % FITTINGS.length] ?? FITTINGS[0]);
        for (const fittings of tried) {
          if (!fittings) continue;
          count += 1;
          const rules = rulesAt(count);
          const spec = drainedBy(FLUID_DRAINS[count % FLUID_DRAINS.length] ?? null);
          yield setUp([itemOf(work)], { machineClass, fuel, fittings, rules, spec });
        }
      }
      for (const fittings of FITTINGS.filter((_each, index) => index % 24 === 0)) {
        count += 1;
        const rules = rulesAt(count);
        yield setUp(works.map(itemOf), { machineClass, fuel, fittings, rules, spec: WHOLE_CARD });
      }
    }
  }
}

const UNRESOLVED = /undefined|null|NaN|\[object|\$\{|\{|\}| {2}|\.\.|^\s|\s$/;
const wordsOf = ({ text, tools, figures, measurement, setBy, look, cautions }: SheetStep): string[] => [
  text,
  ...tools,
  ...figures.map(({ label }) => label),
  ...(measurement ? [measurement.label, ...fieldsOf(measurement).map(({ label }) => label)] : []),
  ...(setBy === null ? [] : [setBy]),
  ...(look ? [LOOKS[look].question] : []),
  ...cautions.map((key) => CAUTIONS[key].text),
];

/** Cautions that a procedure sets and the sheet of its one item does not show before the same step. */
function lostCautions(set: MachineSetUp, steps: readonly SheetStep[]): string[] {
  const [item] = set.items;
  if (!item || set.items.length > 1) return [];
  const asked = { name: item.name, components: item.components, actions: [item.action] };
  return proceduresFor(item).flatMap((procedure) =>
    procedure.steps(set, asked).flatMap(({ id, shared, cautions }) => {
      const key = shared === null ? `${procedure.key}.${id}` : `shared.${shared}`;
      const shown = steps.find((step) => step.key === key)?.cautions ?? [];
      return cautions.filter((each) => !shown.includes(each)).map((each) => `${key} lost ${each}`);
    }),
  );
}

/** The machine is open, its oils out and hands in it. */
const OPENED: readonly Phase[] = PHASES.slice(PHASES.indexOf('makeSafe'), PHASES.indexOf('run'));
const STARTS = /then start|start the engine|run it (for|until)|engine (running|on\b)|blades on,/i;

/** What is wrong with a step of a sheet. */
function stepFaults(step: SheetStep): string[] {
  const unresolved = wordsOf(step).filter((words) => words === '' || UNRESOLVED.test(words));
  const own = step.components.flatMap((component) => [component, ...(FASTENED_BY[component] ?? [])]);
  const torques = step.figures.filter(({ dimension }) => dimension === 'torque');
  const strange = torques.filter(({ label }) => !own.includes(label as Component));
  const needsWrench = torques.length > 0 && !step.tools.includes('torque wrench');
  return [
    ...unresolved.map((words) => `unresolved: "${words}"`),
    ...strange.map(({ label }) => `the figure of ${label}`),
    ...(needsWrench ? ['no torque wrench'] : []),
    ...(step.setBy !== null && !step.measurement ? ['nothing is measured that is set'] : []),
    ...(OPENED.includes(step.phase) && STARTS.test(step.text) ? [`starts the engine: "${step.text}"`] : []),
    ...(step.measurement && step.tools.length === 0 ? ['nothing to measure with'] : []),
  ];
}

/** What is wrong with a sheet as a whole. */
function sheetFaults(set: MachineSetUp, { steps, fetch }: Sheet): string[] {
  const asked = new Set(steps.flatMap(({ itemIds }) => itemIds));
  const unfetched = steps.flatMap(({ tools }) => tools).filter((tool) => !fetch.tools.includes(tool));
  const turned = orderedPairs(steps).filter(({ from, to }) => from > to);
  return [
    ...unfetched.map((tool) => `${tool} is not fetched`),
    ...turned.map(({ from, to }) => `${steps[to]?.key} before ${steps[from]?.key}`),
    ...set.items.flatMap(({ id }) => (asked.has(id) ? [] : [`${id} is nowhere`])),
    ...lostCautions(set, steps),
  ];
}

describe('every sheet that the catalogue makes, for every class, fuel and fitting', () => {
  const faults = new Set<string>();
  let [sheets, torqued, measured] = [0, 0, 0];

  beforeAll(() => {
    for (const set of everySetUp()) {
      const sheet = composeSheet(set);
      const where = `${set.machineClass}, ${set.fuel}`;
      sheets += 1;
      for (const step of sheet.steps) {
        torqued += step.figures.length;
        measured += step.measurement ? 1 : 0;
        for (const fault of stepFaults(step)) faults.add(`${where}: ${step.key}: ${fault}`);
      }
      for (const fault of sheetFaults(set, sheet)) faults.add(`${where}: ${fault}`);
    }
  });

  it('are more than three thousand, many with torques and measurements', () => {
    expect(sheets).toBeGreaterThan(3000);
    expect(torqued).toBeGreaterThan(300);
    expect(measured).toBeGreaterThan(500);
  });

  it('have figures by component, the tools they need, their orders, all cautions, and no unresolved word', () => {
    expect([...faults].slice(0, 40)).toEqual([]);
  });
});
