import type { Component } from '../../component/components.js';
import { REACH_TOOLS, REACH_WORDS } from '../greaseReach.js';
import { cardName } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';

const HOW_MUCH: Record<MachineSetUp['rules']['greasing'], string> = {
  purge: 'Pump until clean grease shows; on linkages only a film.',
  strokes: 'Give each its usual strokes and no more.',
};

/** One measured step for each fitting of the card that is wanted, or a single one where the card names none. */
function fittingSteps(
  { spec, rules }: MachineSetUp,
  isWanted: (component: Component) => boolean,
  needs: Step['needs'],
): Step[] {
  const named = spec.fittings.filter(({ component }) => (component ? isWanted(component) : false));
  const tools = ['grease gun', 'rags'];
  if (named.length === 0) {
    const text = `Wipe each fitting, pump, wipe again. ${HOW_MUCH[rules.greasing]} Count the strokes: one that takes none is a defect.`;
    return [step('grease', 'whileItDrains', text, 10, { needs, tools, rule: 'greasing' })];
  }
  return named.map(({ name, component, where: place, reach, strokes }, index) => {
    const label = cardName(name, component);
    return step(
      `fitting${index + 1}`,
      'whileItDrains',
      `${label}${place ? ` (${place})` : ''}: ${reach ? `${REACH_WORDS[reach]} Wipe` : 'wipe'}, pump, wipe. ${HOW_MUCH[rules.greasing]}`,
      3,
      {
        needs,
        tools: [...tools, ...(reach ? REACH_TOOLS[reach] : [])],
        rule: 'greasing',
        after: [],
        measurement: { kind: 'grease', label: `Strokes at ${label}`, usual: strokes },
      },
    );
  });
}

const BODY = ['axles', 'wheelHubs', 'casters', 'steering', 'threePointLinkage', 'driveShafts'] as const;
const DECK = ['deckSpindles', 'deckIdlers', 'deckLift', 'deckWheels'] as const;

/** All that is greased on a machine itself; a loader has a book of its own. */
function isOfMachine(component: Component): boolean {
  return component !== 'loaderPins';
}

export const GREASE: Procedure = {
  key: 'grease',
  name: 'Grease',
  does: workOn(['grease'], 'greasePoints', ...BODY),
  steps(setUp, { components }) {
    const isAll = components.includes('greasePoints');
    // What another item of the job asks for by name is greased there.
    const isAsked = (component: Component) =>
      setUp.items.some((item) => item.action === 'grease' && item.components.includes(component));
    const isWanted = (component: Component) =>
      components.includes(component) || (isAll && isOfMachine(component) && !isAsked(component));
    return fittingSteps(setUp, isWanted, ['safe']);
  },
};

export const LOADER_GREASE: Procedure = {
  key: 'loaderGrease',
  name: 'Loader: grease',
  does: workOn(['grease'], 'loaderPins'),
  steps: (setUp) => [
    step('lower', 'whileItDrains', 'Bucket flat on the ground, engine off, levers moved through.', 1, {
      cautions: ['hydraulicPressure'],
    }),
    ...fittingSteps(setUp, (component) => component === 'loaderPins', ['safe']),
  ],
};

export const DECK_GREASE: Procedure = {
  key: 'deckGrease',
  name: 'Deck: grease',
  does: workOn(['grease'], ...DECK),
  steps: (setUp, { components }) =>
    fittingSteps(setUp, (component) => components.includes(component), ['safe']),
};

export const BED_HINGES: Procedure = {
  key: 'bedHinges',
  name: 'Bed hinges: lubricate',
  does: workOn(['grease'], 'bedHinge'),
  steps: () => [
    step('hinge', 'whileItDrains', 'Clean the bed hinges and put grease on; work the bed once.', 5, {
      needs: ['safe', 'bedUp'],
      cautions: ['raisedBed'],
      tools: ['grease gun', 'rags'],
    }),
  ],
};

export const BRAKE_LINKAGE: Procedure = {
  key: 'brakeLinkage',
  name: 'Brake linkage: lubricate',
  does: workOn(['grease'], 'brakeLinkage'),
  steps: () => [
    step(
      'brakes',
      'whileItDrains',
      'A drop of oil on the joints of the brake linkage, none on drums or linings.',
      5,
      { cautions: ['brakes'], tools: ['oil can'] },
    ),
  ],
};
