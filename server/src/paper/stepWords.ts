import {
  CAUTIONS,
  fieldsOf,
  fillNeedOf,
  fillPlan,
  litresOfNeed,
  LOOKS,
  ruleWords,
  shownRange,
  shownUnit,
  shownValue,
  wantedWords,
} from '@yugator/core';
import type { Caution, LevelNeed, MachineSetUp, Measurement, SheetStep, UnitSystem } from '@yugator/core';

/** Room to write in. */
export const BLANK = '_______';
/** A word to tick, which no line break takes from its box. */
export const tick = (words: string) => `[\u00a0\u00a0]\u00a0${words}`;

function volume(litres: number, units: UnitSystem): string {
  return shownValue(litres, 'volume', units);
}

/** What is to be measured, with a blank for each figure. */
function measureWords(measurement: Measurement, setBy: string | null, units: UnitSystem): string {
  const fields = fieldsOf(measurement);
  const blanks = fields
    .map(({ label, dimension }) => {
      const unit = dimension === null ? '' : ` ${shownUnit(dimension, units).unit}`;
      return `${fields.length === 1 ? '' : `${label.toLowerCase()} `}${BLANK}${unit}`;
    })
    .join(', ');
  const wanted = wantedWords(measurement, units);
  const again = setBy === null ? '' : ` Where it is out: ${setBy} Set to: ${blanks}`;
  return `${measurement.label}: ${blanks}${wanted ? ` (${wanted})` : ''}${again && '.'}${again}`;
}

function fillWords(step: SheetStep, setUp: MachineSetUp, units: UnitSystem): string[] {
  const need = fillNeedOf(step, setUp);
  if (!need) return [];
  const { target, prefilled, firstPour, topUp } = fillPlan(need);
  if (step.phase === 'topUp')
    return [
      ...(topUp > 0 ? [`About ${volume(topUp, units)} are still to come.`] : []),
      ...dipstickWords(step.fills, units),
    ];
  const parts = [
    prefilled > 0 ? `${volume(prefilled, units)} into the filter` : '',
    `${volume(firstPour, units)} at first`,
    topUp > 0 ? `about ${volume(topUp, units)} after the run` : '',
  ].filter(Boolean);
  return [`In all ${volume(target, units)}: ${parts.join(', ')}.`];
}

/** What its marks look like and hold. */
function dipstickWords(need: LevelNeed | null, units: UnitSystem): string[] {
  if (!need) return [];
  const { marks, betweenMarks } = need;
  const looks = marks ? `Low to full: ${marks}.` : '';
  const holds = betweenMarks === null ? '' : `From mark to mark ${volume(betweenMarks, units)}.`;
  return [[looks, holds].filter(Boolean).join(' ')].filter(Boolean);
}

/** The cautions of a step; one that the step before has too is called by its title, so that nobody learns to skip them. */
export function cautionWords(
  step: SheetStep,
  before: SheetStep | undefined,
): { readonly title: string; readonly text: string }[] {
  return step.cautions.map((key) => {
    const { title, text, technician }: Caution = CAUTIONS[key];
    if (before?.cautions.includes(key)) return { title: `${title}, as before.`, text: '' };
    return { title: `${title}.`, text: technician ? `${text} ${technician}` : text };
  });
}

/** What stands under a step on paper: what it works to, and blanks for what is found. */
export function stepLines(step: SheetStep, setUp: MachineSetUp, units: UnitSystem): string[] {
  return [
    ...step.figures.map(
      ({ label, low, high, dimension }) => `${label}: ${shownRange({ low, high }, dimension, units)}`,
    ),
    ...(step.drains ? [`About ${volume(litresOfNeed(step.drains), units)} come out.`] : []),
    ...fillWords(step, setUp, units),
    ...dipstickWords(step.reads, units),
    ...(step.measurement ? [measureWords(step.measurement, step.setBy, units)] : []),
    ...(step.look
      ? [
          `${LOOKS[step.look].question} ${LOOKS[step.look].sights.map(({ words }) => tick(words)).join('   ')}`,
        ]
      : []),
    ...(step.rule ? [`House rule: ${ruleWords(step.rule, setUp)}.`] : []),
    ...(step.againInDays === null
      ? []
      : [`To be looked at again ${step.againInDays} days later, on ${BLANK}`]),
    ...(step.handsOff ? [`Then ${step.handsOff} min by itself. Begun at ${BLANK}`] : []),
  ];
}
