import type { Component } from '../../component/components.js';
import { figureWords } from '../../site/houseFigures.js';
import type { MachineSetUp, OilDrain } from '../machineSetUp.js';
import { readingWords } from '../levelReading.js';
import { fluidNeed, startWords, toolsFor, torqueFigures } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { afterAll, step } from '../step.js';
import type { Step } from '../step.js';

const FLUID = 'engineOil';

/** Whether the job replaces a component. */
function replaces({ items }: MachineSetUp, component: Component): boolean {
  return items.some(({ action, components }) => action === 'replace' && components.includes(component));
}

function changesFilter(setUp: MachineSetUp): boolean {
  return replaces(setUp, 'engineOilFilter') && setUp.fittings.oilFilter !== 'none';
}

const TIGHTNESS: Record<MachineSetUp['rules']['filterTightness'], string> = {
  turn: 'Screw it on by hand until the gasket touches, then ¾ to 1 turn. Never back it off.',
  hand: 'Screw it on hand-tight. Never with the wrench, never backed off.',
  snug: 'Screw it on by hand until the gasket touches and is tight, then {snugDegrees}° more with the wrench. Never back it off.',
  maker: "Tighten it to the maker's figure on the filter or in the book. Never back it off.",
};

function prefillWords({ rules, fittings }: MachineSetUp): string {
  if (rules.prefill === 'never') return 'Leave it empty.';
  if (rules.prefill === 'quarterAndRoll')
    return 'Fill it a quarter and roll it until the pleats have drunk it.';
  if (fittings.oilFilter === 'upright') return 'Fill it with new oil.';
  return rules.prefill === 'full'
    ? 'Fill it with new oil, rags below, and turn it up only as it goes on.'
    : 'Fill it half: it lies on its side.';
}

function tightnessWords({ rules, figures }: MachineSetUp): string {
  return figureWords(TIGHTNESS[rules.filterTightness], figures);
}

function sizeWords({ rules }: MachineSetUp): string {
  return rules.supersession === 'accepted'
    ? 'same height as the old one or taller; smaller only where its maker put it in place of the old number, and then write both numbers down.'
    : 'same height as the old one or taller, never smaller.';
}

function oilFilterSteps(setUp: MachineSetUp): Step[] {
  const isElement = setUp.fittings.oilFilter === 'element';
  return [
    step(
      'filterOff',
      'whileItDrains',
      isElement
        ? 'Open the filter housing, lift the element out, and take the old sealing ring off.'
        : 'Take the old filter off with the wrench; its gasket must come with it. A second gasket left behind blows out. Wipe the seat.',
      4,
      { cautions: ['hotOil'], tools: ['oil filter wrench', 'rags'], fluid: FLUID, after: [] },
    ),
    step(
      'filterOn',
      'filtersOn',
      isElement
        ? 'Put the new element and ring in, oil the ring, and close the housing.'
        : `New filter: ${sizeWords(setUp)} Oil the new gasket. ${prefillWords(setUp)} ${tightnessWords(setUp)}`,
      4,
      { rule: isElement ? 'prefill' : 'filterTightness', fluid: FLUID },
    ),
  ];
}

function drainWith({
  fittings,
  rules,
}: MachineSetUp): 'cartridge' | 'extractor' | 'extractorThenPlug' | 'plug' {
  if (fittings.oilDrain === 'cartridge') return 'cartridge';
  if (fittings.oilDrain === 'extractor') return 'extractor';
  return rules.drain;
}

const OPENING = {
  plug: 'Turn the drain plug out by hand at the end, away from your sleeve.',
  twoPlugs: 'Turn out both sump plugs: each side keeps its own oil.',
  valve: 'Put the hose on the drain valve and give it a quarter turn.',
  hose: 'Lay the drain hose into the pan and open it.',
} as const;

/** What opens a drain, where the card of the machine names no tool. */
const DRAIN_TOOLS: Record<OilDrain, readonly string[]> = {
  plug: ['wrench for the drain plug'],
  twoPlugs: ['wrench for the sump plugs'],
  valve: ['drain hose'],
  hose: [],
  extractor: ['wrench for the drain plug'],
  cartridge: [],
};

function drainSteps(setUp: MachineSetUp): Step[] {
  const way = drainWith(setUp);
  const drains = fluidNeed(setUp, FLUID, changesFilter(setUp));
  const { oilDrain } = setUp.fittings;
  const opening = OPENING[oilDrain === 'extractor' || oilDrain === 'cartridge' ? 'plug' : oilDrain];
  const wait = { handsOff: 8, wait: 'draining', fluid: FLUID, rule: 'drain', drains, vessel: 'pan' } as const;
  const open = step(
    'drain',
    'startDraining',
    `Engine oil: pan under the drain. Open the fill cap so that the oil does not glug. ${opening} Let it come to a slow drip; a card keeps it off belts and axles.`,
    4,
    {
      ...wait,
      needs: ['safe', 'warm'],
      cautions: ['hotOil', 'usedOil'],
      tools: ['drain pan', 'rags', ...toolsFor(setUp, 'engineDrainPlug', DRAIN_TOOLS[oilDrain])],
    },
  );
  const extract = step(
    'extract',
    'startDraining',
    'Pull the dipstick, push the extractor tube down to the bottom, and pump.',
    3,
    {
      ...wait,
      vessel: 'extractor',
      needs: ['safe', 'warm'],
      cautions: ['hotOil', 'usedOil'],
      tools: ['oil extractor'],
    },
  );
  if (way === 'extractor') return [extract];
  if (way === 'extractorThenPlug') return [extract, { ...open, handsOff: 4, drains: null, vessel: null }];
  return [open];
}

/** What closes without a plug has no washer and no torque. */
const CLOSING = {
  valve: 'Close the valve, take the hose off, put its cap on, and wipe dry.',
  hose: 'Close the hose, clip it back where it hangs, and wipe dry.',
} as const;

function closeStep(setUp: MachineSetUp): Step {
  const { oilDrain } = setUp.fittings;
  if (oilDrain === 'valve' || oilDrain === 'hose')
    return step('close', 'closeDrains', CLOSING[oilDrain], 2, { fluid: FLUID });
  const isTwo = oilDrain === 'twoPlugs';
  return step(
    'close',
    'closeDrains',
    isTwo
      ? 'Put both sump plugs back, each with a good sealing washer: count two in before you pour.'
      : 'Put the sump plug back with a good sealing washer. A plastic plug only snug.',
    3,
    {
      tools: [isTwo ? 'two new sealing washers' : 'new sealing washer', 'torque wrench'],
      fluid: FLUID,
      rule: 'torque',
      figures: torqueFigures(setUp, 'engineDrainPlug'),
    },
  );
}

function refillSteps(setUp: MachineSetUp): Step[] {
  const fills = fluidNeed(setUp, FLUID, changesFilter(setUp));
  return [
    step(
      'pour',
      'firstPour',
      'Engine oil: pour the first part. Check the dipstick before the first start: an engine started without oil is lost.',
      4,
      { tools: ['funnel', 'jug with a scale'], fluid: FLUID, fills, rule: 'fillTarget' },
    ),
    step(
      'run',
      'run',
      `${startWords(setUp)}Run it for half a minute and watch the oil light go out. Then stop the engine.`,
      1,
      {
        shared: 'run',
        cautions: ['exhaust'],
        needs: [],
      },
    ),
    step('leaks', 'leakCheck', 'Look at filter and plug for leaks. Wipe them dry and look again.', 2, {
      shared: 'leakCheck',
      tools: ['torch'],
    }),
    step('settle', 'settle', 'Let the oil run down.', 0, { handsOff: 2, wait: 'settling', shared: 'settle' }),
    step(
      'dipstick',
      'topUp',
      `${readingWords(setUp.spec, FLUID, 'Read the dipstick as this machine wants it, screwed in or resting on the threads.')} Add in small amounts; never over the mark.`,
      3,
      { look: 'engineOil', fills, rule: 'fillTarget', fluid: FLUID, continues: 'pour' },
    ),
    step(
      'label',
      'finish',
      'Write date, hours and oil grade on the filter, or on the label by the fill cap.',
      1,
      {
        needs: [],
        after: [],
      },
    ),
    step('waste', 'finish', 'Pour the used oil into its container and write down how much.', 3, {
      cautions: ['usedOil'],
      tools: ['used-oil container'],
      needs: [],
      shared: 'usedOil',
      after: [],
    }),
  ];
}

/** A sealed cartridge holds the oil: nothing is drained, poured or emptied. */
function cartridgeSteps(setUp: MachineSetUp): Step[] {
  const rest = refillSteps(setUp).filter(({ id }) => ['run', 'leaks', 'settle', 'label'].includes(id));
  const level = step(
    'dipstick',
    'topUp',
    `${readingWords(setUp.spec, FLUID, 'Read the dipstick as this machine wants it.')} Outside its marks, the cartridge does not sit or is not the right one.`,
    2,
    { look: 'engineOil', fluid: FLUID },
  );
  return [
    step(
      'cartridge',
      'filtersOn',
      'Twist the old oil cartridge out, wipe the seat, and twist the new one in until it clicks.',
      4,
      { cautions: ['hotOil', 'usedOil'], tools: ['rags'], fluid: FLUID },
    ),
    ...rest.map((own) => (own.id === 'settle' ? [own, level] : [own])).flat(),
    step('waste', 'finish', 'The old cartridge stays closed and goes to its collector as it is.', 1, {
      cautions: ['usedOil'],
      needs: [],
      after: [],
    }),
  ];
}

export const ENGINE_OIL: Procedure = {
  key: 'engineOil',
  name: 'Engine oil',
  does: workOn(['replace'], 'engineOil'),
  covers: ['engineOilLevel'],
  steps(setUp) {
    const clean = step(
      'clean',
      'cleanDown',
      'Blow or brush round filter, drain and fill hole, so that nothing falls in.',
      3,
      {
        shared: 'cleanDown',
        tools: ['blower or brush'],
        cautions: ['compressedAir'],
        needs: [],
      },
    );
    const way = drainWith(setUp);
    if (way === 'cartridge') return [clean, ...cartridgeSteps(setUp)];
    const drains = drainSteps(setUp);
    const drained = drains.at(-1)?.id ?? 'drain';
    const closes = way === 'extractor' ? [] : [{ ...closeStep(setUp), after: afterAll(drained) }];
    return [clean, ...drains, ...closes, ...refillSteps(setUp)];
  },
};

export const OIL_FILTER: Procedure = {
  key: 'oilFilter',
  name: 'Engine oil filter',
  does: workOn(['replace'], 'engineOilFilter'),
  steps(setUp) {
    // A cartridge is filter and oil in one, and some engines have no filter: then the oil change is all.
    const isNone = setUp.fittings.oilFilter === 'none' || drainWith(setUp) === 'cartridge';
    if (!isNone || !replaces(setUp, 'engineOil')) return oilFilterSteps(setUp);
    const isALineOfItsOwn = setUp.items.some(
      ({ components }) => components.includes('engineOilFilter') && !components.includes('engineOil'),
    );
    return isALineOfItsOwn
      ? [
          step('none', 'finish', 'By its card this engine has no filter to change: nothing is done.', 1, {
            needs: [],
          }),
        ]
      : [];
  },
};
