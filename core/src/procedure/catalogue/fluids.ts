import type { Component } from '../../component/components.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { drainWay } from '../fluidDrain.js';
import { cardName, fluidNeed, torqueFigures } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { afterAll, afterHands, step } from '../step.js';
import type { Step } from '../step.js';

interface Way {
  readonly fluid: Component;
  /** what its drain is closed with; null where the filters or the covers are the drain */
  readonly plug: Component | null;
  readonly needs: Step['needs'];
  readonly cautions: Step['cautions'];
  readonly drain: string;
  readonly drips: number;
  /** what it is filled through, which is opened before anything is drained; null where that is a cap */
  readonly fillPlug: string | null;
  /** null where it has no filter */
  readonly filter: string | null;
  readonly fill: string;
  readonly read: string;
  /** reading it moves the machine: its dangers, and what holds it meanwhile */
  readonly reading?: Pick<Step, 'cautions' | 'tools'>;
}

/** Drain, filter, fill and read: the way of every oil but the engine's. */
function change(setUp: MachineSetUp, way: Way): Step[] {
  const need = fluidNeed(setUp, way.fluid, way.filter !== null);
  const { fluid, needs, cautions } = way;
  const out = drainWay(setUp, way);
  // Several oils may be on their way at once: each step says whose it is.
  const named = (words: string) =>
    `${cardName('', fluid)}: ${words.charAt(0).toLowerCase()}${words.slice(1)}`;
  const drained = ['drain', ...(way.filter ? ['filter'] : [])];
  return [
    ...(way.fillPlug
      ? [
          step(
            'prove',
            'openUp',
            `Open ${way.fillPlug} first. If it does not open, stop: you could not fill again.`,
            2,
            { needs, cautions, tools: ['wrench for the fill plug'] },
          ),
        ]
      : []),
    step('drain', 'startDraining', named(out.open), 5, {
      needs,
      cautions: [...cautions, 'usedOil'],
      handsOff: way.drips,
      wait: 'draining',
      fluid,
      rule: way.plug ? 'otherDrain' : null,
      vessel: out.vessel,
      drains: need,
      tools: out.tools,
    }),
    ...(way.filter
      ? [
          step('filter', 'whileItDrains', named(way.filter), 8, {
            needs,
            cautions,
            fluid,
            after: afterHands('drain'),
            tools: ['oil filter wrench', 'rags'],
          }),
        ]
      : []),
    ...(out.close
      ? [
          step('close', 'closeDrains', named(out.close), 3, {
            needs,
            fluid,
            after: afterAll(...drained),
            tools: out.closingTools,
            rule: out.hasPlugs ? 'torque' : null,
            figures: way.plug && out.hasPlugs ? torqueFigures(setUp, way.plug) : [],
          }),
        ]
      : []),
    step('fill', 'firstPour', named(way.fill), 6, {
      needs,
      fluid,
      ...(out.close ? {} : { after: afterAll(...drained) }),
      fills: need,
      tools: ['funnel', 'jug with a scale'],
    }),
    step('read', 'topUp', named(way.read), 3, { ...way.reading, fluid }),
    step('waste', 'finish', 'Pour the used oil into its container and write down how much.', 3, {
      cautions: ['usedOil'],
      tools: ['used-oil container'],
      needs: [],
      shared: 'usedOil',
      after: [],
    }),
  ];
}

export const HYDRO_OIL: Procedure = {
  key: 'hydroOil',
  name: 'Hydro oil and filters',
  does: workOn(['replace'], 'hydroOil', 'hydroFilters'),
  covers: ['hydroOilLevel'],
  steps: (setUp) =>
    change(setUp, {
      fluid: 'hydroOil',
      fillPlug: 'the top port of each unit',
      plug: null,
      needs: ['safe', 'warm', 'deckRaised'],
      cautions: ['raisedDeck', 'hotOil'],
      drain: 'Clean round both units. Filters off on both sides and let them run out.',
      drips: 10,
      filter: 'New filters on both units, gaskets oiled, hand-tight; only the kind the book names.',
      fill: 'Fill through the top ports until oil shows, close them, then the tank to its cold mark.',
      read: 'Drive wheels off the ground on stands, engine on, the drive levers slowly to and fro until they pull evenly. Engine off, off the stands, read again and top up.',
      reading: { cautions: ['machineRuns', 'raisedDeck', 'exhaust'], tools: ['jack and two stands'] },
    }),
};

export const TRANSMISSION_OIL: Procedure = {
  key: 'transmissionOil',
  name: 'Transmission oil, strainer and filter',
  does: [
    ...workOn(['replace'], 'transmissionOil', 'transmissionStrainer'),
    ...workOn(['clean'], 'transmissionStrainer'),
  ],
  covers: ['transmissionFilter', 'transmissionOilLevel'],
  steps: (setUp) =>
    change(setUp, {
      fluid: 'transmissionOil',
      fillPlug: null,
      plug: 'transmissionPlugs',
      needs: ['safe', 'warm'],
      cautions: ['hotOil', 'hydraulicPressure'],
      drain: 'Open the fill cap first. Pan under the lowest plugs, and open all of them.',
      drips: 15,
      filter:
        setUp.machineClass === 'compactTractor'
          ? 'Filter off and on, gasket oiled. Pull the wire strainer, wash it in clean diesel, and put it back with a new ring.'
          : null,
      fill: 'Fill slowly to the mark, the machine level.',
      read: 'Engine on, raise and lower a few times, all down, engine off; read again on level ground and top up.',
      reading: { cautions: ['hydraulicPressure', 'exhaust'], tools: ['rags'] },
    }),
};

export const TRANSMISSION_FILTER: Procedure = {
  key: 'transmissionFilter',
  name: 'Transmission filter',
  does: workOn(['replace'], 'transmissionFilter'),
  covers: ['transmissionOilLevel'],
  steps: () => [
    step(
      'change',
      'filtersOn',
      'Pan under the filter. Off with the wrench, seat wiped, new one with oiled gasket, by hand.',
      8,
      {
        cautions: ['hotOil', 'hydraulicPressure'],
        tools: ['oil filter wrench', 'drain pan'],
        fluid: 'transmissionOil',
      },
    ),
    step(
      'read',
      'topUp',
      'Engine on, raise and lower a few times, all down, engine off; read the level on level ground and top up.',
      3,
      {
        cautions: ['hydraulicPressure', 'exhaust'],
        fluid: 'transmissionOil',
      },
    ),
  ],
};

export const FRONT_AXLE_OIL: Procedure = {
  key: 'frontAxleOil',
  name: 'Front axle oil',
  does: workOn(['replace'], 'frontAxleOil'),
  covers: ['frontAxleOilLevel'],
  steps: (setUp) =>
    change(setUp, {
      fluid: 'frontAxleOil',
      fillPlug: 'the level hole of the front axle',
      plug: 'frontAxlePlugs',
      needs: ['safe'],
      cautions: [],
      drain: 'Open the breather, then the plugs on both sides and the middle.',
      drips: 12,
      filter: null,
      fill: 'Fill through the level hole until it runs out.',
      read: 'Wait, and fill again until it stands at the hole: the oil creeps along the axle.',
    }),
};

export const TRANSAXLE_OIL: Procedure = {
  key: 'transaxleOil',
  name: 'Transaxle oil',
  does: workOn(['replace'], 'transaxleOil'),
  covers: ['transaxleOilLevel'],
  steps: (setUp) =>
    change(setUp, {
      fluid: 'transaxleOil',
      fillPlug: 'the fill plug of the transaxle',
      plug: 'transaxlePlug',
      needs: ['safe', 'warm'],
      cautions: ['hotOil'],
      drain: 'Drain plug of the transaxle out, over the pan.',
      drips: 15,
      filter: null,
      fill: 'Fill slowly to the mark or to the hole, the machine level.',
      read: 'Drive a few yards, read again on level ground and top up.',
      reading: { cautions: ['machineRuns'], tools: ['rags'] },
    }),
};

export const FRONT_DIFFERENTIAL_OIL: Procedure = {
  key: 'frontDifferentialOil',
  name: 'Front differential oil',
  does: workOn(['replace'], 'frontDifferentialOil'),
  covers: ['frontDifferentialOilLevel'],
  steps: (setUp) =>
    change(setUp, {
      fluid: 'frontDifferentialOil',
      fillPlug: 'the fill plug of the front differential',
      plug: 'frontDifferentialPlug',
      needs: ['safe'],
      cautions: [],
      drain: 'Drain plug of the front differential out, over the pan.',
      drips: 12,
      filter: null,
      fill: 'Fill through the level hole until it runs out.',
      read: 'Wait, and fill again until it stands at the hole.',
    }),
};

export const HYDRAULIC_FILTERS: Procedure = {
  key: 'hydraulicFilters',
  name: 'Hydraulic filters',
  does: workOn(['replace'], 'hydraulicFilters'),
  covers: ['hydraulicOilLevel'],
  steps: () => [
    step(
      'change',
      'filtersOn',
      'Two filters of different size: change one after the other, so that they are not swapped. Gaskets oiled, by hand.',
      12,
      {
        needs: ['safe', 'bedUp'],
        cautions: ['raisedBed', 'hydraulicPressure'],
        tools: ['oil filter wrench', 'drain pan'],
        fluid: 'hydraulicOil',
      },
    ),
    step('leaks', 'leakCheck', 'Raise and lower the bed a few times and look for drips from a distance.', 3, {
      cautions: ['hydraulicPressure'],
    }),
    step('read', 'topUp', 'Bed down, level ground: read the hydraulic level and top up.', 3, {
      fluid: 'hydraulicOil',
    }),
  ],
};
