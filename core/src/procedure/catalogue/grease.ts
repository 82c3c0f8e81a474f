import type { MachineSetUp } from '../machineSetUp.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';

const HOW_MUCH: Record<MachineSetUp['rules']['greasing'], string> = {
  purge: 'Pump until clean grease shows; on linkages only a film.',
  strokes: 'Give each its usual strokes and no more.',
};

/** One measured step for each fitting of the card, or a single one where the card names none. */
function fittingSteps({ spec, rules }: MachineSetUp, where: RegExp, needs: Step['needs']): Step[] {
  const named = spec.fittings.filter(({ name }) => where.test(name));
  const tools = ['grease gun', 'rags'];
  if (named.length === 0) {
    const text = `Wipe each fitting, pump, wipe again. ${HOW_MUCH[rules.greasing]} Count the strokes: one that takes none is a defect.`;
    return [step('grease', 'whileItDrains', text, 10, { needs, tools, rule: 'greasing' })];
  }
  return named.map(({ name, where: place, strokes }, index) =>
    step(
      `fitting${index + 1}`,
      'whileItDrains',
      `${name}${place ? ` (${place})` : ''}: wipe, pump, wipe. ${HOW_MUCH[rules.greasing]}`,
      3,
      {
        needs,
        tools,
        rule: 'greasing',
        after: [],
        measurement: { kind: 'grease', label: `Strokes at ${name}`, usual: strokes },
      },
    ),
  );
}

const DECK = /deck/i;
const LOADER = /loader/i;
const BODY = /^(?!.*(deck|loader))/i;

export const GREASE: Procedure = {
  key: 'grease',
  name: 'Grease',
  actions: ['grease'],
  component: /^(?!.*(loader|deck|hinge)).*(axle|wheel|spindle|steering|grease points)/i,
  steps: (setUp) => fittingSteps(setUp, setUp.machineClass === 'zeroTurn' ? /./ : BODY, ['safe']),
};

export const LOADER_GREASE: Procedure = {
  key: 'loaderGrease',
  name: 'Loader: grease',
  actions: ['grease'],
  component: LOADER,
  steps: (setUp) => [
    step('lower', 'whileItDrains', 'Bucket flat on the ground, engine off, levers moved through.', 1, {
      cautions: ['hydraulicPressure'],
    }),
    ...fittingSteps(setUp, LOADER, ['safe']),
  ],
};

export const DECK_GREASE: Procedure = {
  key: 'deckGrease',
  name: 'Deck spindles: grease',
  actions: ['grease'],
  component: DECK,
  steps: (setUp) => fittingSteps(setUp, DECK, ['safe']),
};

export const LUBRICATE: Procedure = {
  key: 'lubricate',
  name: 'Hinges and brake linkage: lubricate',
  actions: ['grease'],
  component: /hinge/i,
  steps: () => [
    step('hinge', 'whileItDrains', 'Clean the bed hinges and put grease on; work the bed once.', 5, {
      needs: ['safe', 'bedUp'],
      cautions: ['raisedBed'],
      tools: ['grease gun', 'rags'],
    }),
    step(
      'brakes',
      'whileItDrains',
      'A drop of oil on the joints of the brake linkage, none on drums or linings.',
      5,
      {
        cautions: ['brakes'],
        tools: ['oil can'],
      },
    ),
  ],
};
