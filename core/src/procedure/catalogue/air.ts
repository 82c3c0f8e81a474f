import { underHood } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';

const WHEN_TO_REPLACE: Record<MachineSetUp['rules']['airFilter'], string> = {
  condition: 'One that passes the look goes back: settle the item as kept.',
  cleanAndYearly: 'It is replaced whatever it looks like.',
};

const HOW_TO_CLEAN: Record<MachineSetUp['rules']['cleanPaper'], string> = {
  tap: 'Tap the element out on a flat board; where that is not enough, replace it.',
  air: 'Blow the element out from inside, below 30 psi, the nozzle moving.',
  brush: 'Brush the pleats lengthwise with a soft brush.',
};

/** What a second element within changes, where the card says that there is one. */
function innerWords({ fittings }: MachineSetUp, isReplaced: boolean): string {
  if (isReplaced || fittings.airCleaner === 'single') return '';
  return fittings.airCleaner === 'twoStage'
    ? ' Leave the inner element in: it keeps the dust out meanwhile.'
    : ' Leave an inner element alone.';
}

/** The box holds a rubber valve under its dust where it has two stages. */
function boxWords({ fittings }: MachineSetUp): string {
  return fittings.airCleaner === 'twoStage' ? ' Squeeze its dust valve: whole, and closing by itself.' : '';
}

export const AIR_FILTER_REPLACE: Procedure = {
  key: 'airFilterReplace',
  name: 'Air filter: replace',
  does: workOn(['replace'], 'airFilter', 'safetyAirElement'),
  covers: ['airFilterClean', 'airFilterInspect'],
  steps: (setUp, { components }) => [
    step(
      'out',
      'whileItDrains',
      `Take the element out and look at it: it tells how the engine breathed. ${WHEN_TO_REPLACE[setUp.rules.airFilter]}${innerWords(setUp, components.includes('safetyAirElement'))}`,
      2,
      {
        needs: underHood(setUp),
        look: 'airFilter',
        rule: 'airFilter',
        tools: ['screwdriver'],
      },
    ),
    step(
      'wipe',
      'whileItDrains',
      `Cover the intake and wipe the box out. Never blow dirt into it.${boxWords(setUp)}`,
      2,
      { needs: underHood(setUp), tools: ['rags'] },
    ),
    ...(components.includes('safetyAirElement')
      ? [
          step(
            'inner',
            'whileItDrains',
            'Inner element out last and the new one in at once: it is never cleaned, and never left out.',
            2,
            { needs: underHood(setUp) },
          ),
        ]
      : []),
    step('in', 'whileItDrains', 'Put the new element in, its seal flat all round, and close the box.', 2, {
      needs: underHood(setUp),
    }),
  ],
};

export const AIR_FILTER_CLEAN: Procedure = {
  key: 'airFilterClean',
  name: 'Air filter: clean',
  does: workOn(['clean'], 'airFilter'),
  covers: ['airFilterInspect'],
  steps: (setUp) => [
    step('out', 'whileItDrains', `Take the element out and look at it.${innerWords(setUp, false)}`, 2, {
      needs: underHood(setUp),
      look: 'airFilter',
      tools: ['screwdriver'],
    }),
    step('clean', 'whileItDrains', HOW_TO_CLEAN[setUp.rules.cleanPaper], 4, {
      needs: underHood(setUp),
      rule: 'cleanPaper',
      cautions: setUp.rules.cleanPaper === 'air' ? ['compressedAir'] : [],
      tools:
        setUp.rules.cleanPaper === 'air' ? ['air gun with regulator', 'goggles'] : ['board or soft brush'],
    }),
    step(
      'in',
      'whileItDrains',
      `Cover the intake, wipe the box out, and put the element back.${boxWords(setUp)}`,
      3,
      {
        needs: underHood(setUp),
      },
    ),
  ],
};

export const AIR_FILTER_INSPECT: Procedure = {
  key: 'airFilterInspect',
  name: 'Air filter: look at',
  does: workOn(['inspect'], 'airFilter'),
  steps: (setUp) => [
    step('look', 'whileItDrains', 'Take the element out, hold it to the light, and put it back flat.', 4, {
      needs: underHood(setUp),
      look: 'airFilter',
      rule: 'airFilter',
      tools: ['torch'],
    }),
  ],
};

export const PRE_FILTER: Procedure = {
  key: 'preFilter',
  name: 'Air pre-filter',
  does: workOn(['clean', 'replace'], 'airPreFilter'),
  steps: (setUp, { actions }) =>
    actions.includes('replace')
      ? [
          step(
            'change',
            'whileItDrains',
            'Old foam off, its seat wiped, new foam on, dry; oil it only where the book says so.',
            2,
            {
              needs: underHood(setUp),
              tools: ['rags'],
            },
          ),
        ]
      : [
          step(
            'wash',
            'whileItDrains',
            'Wash the foam in warm water with soap, press it out in a cloth, never wring it.',
            4,
            {
              needs: underHood(setUp),
              handsOff: 10,
              wait: 'drying',
              tools: ['bucket, soap, cloth'],
            },
          ),
          step('refit', 'whileItDrains', 'Refit the foam dry; oil it only where the book says so.', 2, {
            needs: underHood(setUp),
          }),
        ],
};

export const DUST_VALVE: Procedure = {
  key: 'dustValve',
  name: 'Air cleaner dust valve',
  does: workOn(['clean', 'inspect'], 'dustValve'),
  steps: () => [
    step('squeeze', 'whileItDrains', 'Squeeze the rubber valve open until no more dust falls out.', 1, {
      needs: ['safe', 'hoodOff'],
    }),
  ],
};
